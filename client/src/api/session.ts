/** Who is signed in, and signing in and out. */
import { ref } from 'vue'
import { api, result, signedOut, type Schemas } from './client'

export const username = ref<string | null>(null)
/** Whether this is the demonstration. */
export const demonstration = ref(false)
/** Whether whoever sits here may make an account. */
export const mayBegin = ref(false)

function take(session: Schemas['Current']): void {
  demonstration.value = session.demonstration
  mayBegin.value = session.may_begin
  username.value = session.username
}

/** Ask who is signed in (this also sets the CSRF cookie). */
export async function loadSession(): Promise<void> {
  take(await result(api.GET('/api/session')))
}

/** Sign in; throws the refusal when name and password do not fit. */
export async function signIn(name: string, password: string, shared: boolean): Promise<void> {
  const body = { username: name, password, shared }
  take(await result(api.POST('/api/session', { body })))
  signedOut.value = false
}

/** Make an account and sign in with it. */
export async function beginOwn(name: string, password: string): Promise<void> {
  take(await result(api.POST('/api/session/own', { body: { username: name, password } })))
}

export async function signOut(): Promise<void> {
  await result(api.DELETE('/api/session'))
  await loadSession()
}
