/** Instants as the teacher's language writes them. Making a formatter is slow: each is made once. */
const DATE_AND_TIME = new Intl.DateTimeFormat(undefined, {
  dateStyle: 'medium',
  timeStyle: 'short',
})
const DATE = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' })
const TIME = new Intl.DateTimeFormat(undefined, { timeStyle: 'short' })

/** Return an ISO instant as a date and a time. */
export function dated(instant: string): string {
  return DATE_AND_TIME.format(new Date(instant))
}

/** Return an ISO instant as a day; one of today as its time. */
export function day(instant: string, now = new Date()): string {
  const then = new Date(instant)
  return (then.toDateString() === now.toDateString() ? TIME : DATE).format(then)
}

/** Return a day as the server writes it, 2026-11-30: today's in this browser, or `days` later. */
export function isoDay(days = 0, now = new Date()): string {
  const then = new Date(now.getFullYear(), now.getMonth(), now.getDate() + days)
  return [then.getFullYear(), then.getMonth() + 1, then.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-')
}

/** Return a day as the server writes it as the teacher's language does; no clock moves it. */
export function written(isoDate: string): string {
  const [year = 0, month = 1, date = 1] = isoDate.split('-').map(Number)
  return DATE.format(new Date(year, month - 1, date))
}
