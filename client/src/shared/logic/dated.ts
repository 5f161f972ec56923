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
