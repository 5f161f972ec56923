/** What a router is told and asked beside going somewhere, in tests where nobody goes elsewhere meanwhile. */
const hook = () => () => undefined

export const nobodyLeaves = { beforeEach: hook, afterEach: hook, onError: hook }
