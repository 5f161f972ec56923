/** Files sent to the API: one file, one answer; refusals as with every call. */
import { result } from './client'

/** Send `file` to a path of the API, which answers with `T`. */
export async function sendFile<T>(path: string, file: File): Promise<T> {
  const body = new FormData()
  body.append('file', file)
  const token = /(?:^|; )csrftoken=([^;]+)/.exec(document.cookie)?.[1] ?? ''
  return result<T>(
    fetch(path, { method: 'POST', body, headers: { 'X-CSRFToken': token } }).then(
      async (response) => {
        const said = (await response.json().catch(() => ({}))) as T
        return response.ok ? { data: said, response } : { error: said, response }
      },
    ),
  )
}
