/** Days and times as the device writes them. */
export const day = (at: string): string =>
  new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' })

/** Without the year, where it is this one. */
export const shortDay = (at: string): string => {
  const year = new Date(at).getFullYear() === new Date().getFullYear() ? undefined : 'numeric'
  return new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year })
}

export const dayAndTime = (at: string): string =>
  new Date(at).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
