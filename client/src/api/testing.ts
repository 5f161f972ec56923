/** What unit tests say of who is signed in. */
import type { Schemas } from './client'

/** What the server says of who is signed in. */
export function session(more: Partial<Schemas['Current']> = {}): Schemas['Current'] {
  const nobody = { username: '', demonstration: false, may_begin: false, provider: '' }
  return { ...nobody, mails: false, department: '', administrator: false, leaves: null, ...more }
}
