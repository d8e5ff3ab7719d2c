/** Numbers of what was made on a device begin above all that a server gives: see device/lib/device/tables.rb. */
export const FIRST_OWN = 4503599627370496
const LONG_NUMBER = /(?<!\d)\d{16}(?!\d)/g

/** Puts something else in the place of each number that was given here. */
export const withoutOwn = (text: string, other: (own: number) => string): string =>
  text.replace(LONG_NUMBER, (digits) => (Number(digits) >= FIRST_OWN ? other(Number(digits)) : digits))

/** Whether a text speaks of something that was made here. */
export const speaksOfOwn = (text: string): boolean => withoutOwn(text, () => '') !== text
