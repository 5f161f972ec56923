/** Return an ISO instant as the teacher's language writes a date and a time. */
export function dated(instant: string): string {
  return new Date(instant).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
}

/** Return an ISO instant as a day; one of today as its time. */
export function day(instant: string, now = new Date()): string {
  const then = new Date(instant)
  if (then.toDateString() === now.toDateString()) {
    return then.toLocaleTimeString(undefined, { timeStyle: 'short' })
  }
  return then.toLocaleDateString(undefined, { dateStyle: 'medium' })
}
