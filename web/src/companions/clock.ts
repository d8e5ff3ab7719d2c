/** A stretch of time as a clock shows it: 0:45, 12:30, 3 h 05, 2 days. */
export function countdown(ms: number): string {
  const seconds = Math.round(Math.abs(ms) / 1000)
  if (seconds >= 2 * 86_400) return `${Math.round(seconds / 86_400)} days`
  const [hours, minutes, rest] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60]
  const two = (part: number) => String(part).padStart(2, '0')
  return hours ? `${hours} h ${two(minutes)}` : `${minutes}:${two(rest)}`
}

/** How a look stands to its time: due in 3:20, due now, 1:05 over. */
export function dueSaid(ms: number): string {
  if (ms > 500) return `in ${countdown(ms)}`
  return ms > -10_000 ? 'due now' : `${countdown(ms)} over`
}
