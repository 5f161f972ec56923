/** A call put off until it is not repeated for a while. */
export interface Later {
  (): void
  /** Make the call now if it is due. */
  flush(): void
  cancel(): void
}

/** Return a function that calls `action` once, `milliseconds` after its last call. */
export function later(action: () => void, milliseconds: number): Later {
  let timer: ReturnType<typeof setTimeout> | undefined
  const run = () => {
    timer = undefined
    action()
  }
  const call = () => {
    clearTimeout(timer)
    timer = setTimeout(run, milliseconds)
  }
  return Object.assign(call, {
    flush: () => {
      if (timer === undefined) return
      clearTimeout(timer)
      run()
    },
    cancel: () => {
      clearTimeout(timer)
      timer = undefined
    },
  })
}
