/** What this browser keeps of what the server does not have yet; its format has a number. */

const FORMAT = 2

export interface Kept<T> {
  content: T
  /** The version that it was written on. */
  version: number
  draft: string
}

const nameOf = (kind: string, id: string) => `uchuu.unsaved.${kind}.${id}`

export function keep<T>(kind: string, id: string, kept: Kept<T>): void {
  localStorage.setItem(nameOf(kind, id), JSON.stringify({ format: FORMAT, ...kept }))
}

export function forget(kind: string, id: string): void {
  localStorage.removeItem(nameOf(kind, id))
}

/** What is kept of it; null where nothing is, or nothing that this version can read. */
export function keptOf<T>(kind: string, id: string): Kept<T> | null {
  try {
    const found = JSON.parse(localStorage.getItem(nameOf(kind, id)) ?? 'null') as
      (Kept<T> & { format: number }) | null
    return found?.format === FORMAT && found.content ? found : null
  } catch {
    return null
  }
}
