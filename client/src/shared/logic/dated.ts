/** Return an ISO instant as the teacher's language writes a date and a time. */
export function dated(instant: string): string {
  return new Date(instant).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
}
