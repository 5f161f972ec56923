/** Words of answers that came in: what students gave for one problem, grouped on the worked example. */

const people = (n: number, of: number) => `${n} of ${of}`

export const answers = {
  open: 'Answers that came in',
  title: (name: string) => `Answers: ${name}`,
  paste: 'Answers, one a line',
  pasteSays:
    'Paste a column, or type them as they come. A code may stand before an answer, with a tab or a colon between. An empty line is a blank answer.',
  example: '12: x = 3\n13: 4 1/2\nno solution',
  kept: 'Kept in this browser only, until you clear them.',
  clear: 'Clear',
  cleared: 'Cleared.',
  restore: 'Bring them back',
  codes: 'Show codes',
  codesSays: 'Student records follow your school’s own policy.',
  none: 'Nothing has come in yet.',
  noLines: 'This problem cannot be worked here: its answers are grouped, but not placed.',
  groups: 'What was answered',
  count: (n: number) => (n === 1 ? 'one answer' : `${n} answers`),
  people,
  leftHere: (n: number, of: number) => `${people(n, of)} left here`,
  mayHaveLeft: (n: number, of: number) => `${people(n, of)} may have left here`,
  atEnd: (n: number, of: number) => `${people(n, of)} reached the answer`,
  thenAlso: 'and then',
  orElse: 'or',
  otherWays: 'On other ways',
  where: {
    right: 'right',
    unfinished: 'right, not finished',
    fork: 'leaves the line',
    unexplained: 'no error is known that ends here',
    unreadable: 'not read: kept as written',
    blank: 'blank',
  } as Record<string, string>,
  blank: '(blank)',
  next: 'What to say next',
  askFor: 'Several errors end in this answer. Ask for this line; it tells them apart:',
  nothing: 'Every answer is right.',
  name: 'Describe it as an error of your own',
}
