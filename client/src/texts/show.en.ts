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
  vote: 'Is it right? Vote: yes, or no. Who says no shows the line.',
  answerFirst: 'This is the answer. How does one get there?',
  scripts: 'How it is told',
  tells: {
    lines: 'Line by line',
    wrong: 'The wrong story first',
    answer: 'Answer first',
  },
  mark: 'Draw',
  beside: 'Side work',
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
    ['M', 'draw the next mark of the hand'],
    ['D', 'side work: open it, the next one, away'],
    ['1, 2, 3', 'line by line, the wrong story first, answer first'],
    ['S', 'light what changed'],
    ['K', 'marks of the hand on or off'],
    ['W', 'words beside the lines'],
    ['T', 'light or dark in this room'],
    ['Home, End', 'first, last line'],
    ['?', 'these keys'],
    ['Escape', 'back to the bench'],
  ] as readonly (readonly [string, string])[],
}

export const sideWork = {
  title: 'Beside this line',
  write: 'Write it beside the lines',
  point: (number: string, isOpen: boolean) => (isOpen ? `${number}, does not belong` : number),
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
  draw: 'Draw:',
}
