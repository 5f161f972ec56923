/** Who is signed in, what can be done here, and signing in and out. */
import { computed, ref } from 'vue'
import { api, result, signedOut, type Schemas } from './client'

/** What the server says of who is there; null until it was asked. */
export const current = ref<Schemas['Current'] | null>(null)
/** Who is signed in: '' nobody, null not known yet. */
export const username = computed(() => current.value?.username ?? null)

/** Ask who is signed in (this also sets the CSRF cookie). */
export async function loadSession(): Promise<void> {
  current.value = await result(api.GET('/api/session'))
}

/** Sign in; throws the refusal when name and password do not fit, or a second factor is asked for. */
export async function signIn(name: string, password: string, shared: boolean): Promise<void> {
  const body = { username: name, password, shared }
  current.value = await result(api.POST('/api/session', { body }))
  signedOut.value = false
}

/** Give the second factor, after name and password. */
export async function giveNumber(number: string): Promise<void> {
  current.value = await result(api.POST('/api/session/second', { body: { number } }))
  signedOut.value = false
}

/** Make an account and sign in with it. */
export async function beginOwn(name: string, password: string): Promise<void> {
  const body = { username: name, password }
  current.value = await result(api.POST('/api/session/own', { body }))
}

/** Sign out, also where the page is left before the server has answered. */
export async function signOut(): Promise<void> {
  await result(api.DELETE('/api/session', { keepalive: true }))
  await loadSession()
}
