/** Words of what is shown to a class, given to it as an exercise, and said before it. */

export const show = {
  open: 'Show to the class',
  board: 'The example so far',
  leave: 'Back to the bench',
  track: 'Talk track',
  keys: 'Keys',
  again: 'Try again',
  count: (shown: number, all: number) => `line ${shown} of ${all}`,
  ask: 'What comes next?',
  askCheck: 'Does it check in the original?',
  isIt: 'Somebody goes on like this. Is it right?',
  noLines: 'This example has no lines yet. Write them on the bench, or let it be worked.',
  back: 'Back',
  predict: 'Let them predict',
  fork: 'Open a fork',
  strike: 'Strike it',
  next: 'Next line',
  keyList: [
    ['→ or space', 'next line; after the last, the check'],
    ['←', 'one step back'],
    ['P', 'let the class predict'],
    ['F', 'open a fork, then strike it'],
    ['S', 'light what changed'],
    ['W', 'words beside the lines'],
    ['T', 'light or dark in this room'],
    ['Home, End', 'first, last line'],
    ['Escape', 'back to the bench'],
  ] as readonly (readonly [string, string])[],
}

export const exercise = {
  open: 'Exercises',
  withKey: 'With the key',
  another: 'Another one',
  choose: 'Choose the answer',
  find: 'One line is wrong. Which one, and why?',
  right: 'The right answer.',
  at: (n: number) => `Line ${n}:`,
}

export const track = {
  line: 'Line',
  ask: 'Ask before it',
  say: 'Say',
  watch: 'Watch for',
}
