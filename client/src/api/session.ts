/** Who is signed in. */
import { ref } from 'vue'
import { api, result, signedOut } from './client'

export const username = ref<string | null>(null)

/** Ask who is signed in (this also sets the CSRF cookie). */
export async function loadSession(): Promise<void> {
  username.value = (await result(api.GET('/api/session'))).username
}

/** Sign in; throws the refusal when name and password do not fit. */
export async function signIn(name: string, password: string): Promise<void> {
  const session = await result(api.POST('/api/session', { body: { username: name, password } }))
  username.value = session.username
  signedOut.value = false
}

export async function signOut(): Promise<void> {
  await result(api.DELETE('/api/session'))
  username.value = ''
}
