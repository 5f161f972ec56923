/** Words of how papers come in and marks go out. */

const pages = (n: number) => (n === 1 ? 'one page' : `${n} pages`)

export const scheme = {
  title: (n: number) => `Marks of item ${n}`,
  open: 'What the marks are for',
  own: 'These marks are your own; all versions of the item have them.',
  made: 'Made from the worked lines. Change what you like; the papers are marked anew.',
  says: 'What earns it',
  worth: 'Marks',
  kinds: {
    method: 'a step',
    accuracy: 'a result',
    form: 'the form',
    check: 'the check',
  } as Record<string, string>,
  off: 'taken off',
  remove: (says: string) => `Remove: ${says}`,
  bring: 'Add back',
  total: (n: number) => `${n} in all`,
  save: 'Save',
  back: 'As made',
  way: 'How the set works it',
}

export const out = {
  release: 'Release the marks',
  released: (when: string) => `Released ${when}. Nothing is marked anew.`,
  takeBack: 'Take the release back',
  undecided: (n: number) =>
    n === 1
      ? 'One question is still yours to decide. Release all the same?'
      : `${n} questions are still yours to decide. Release all the same?`,
  final: 'Marks are proposals until you release them. Nothing is ever sent to anybody.',
  caution:
    'What leaves here is a student record: your school’s own policy and local law hold for it.',
  title: 'Take away',
  marks: 'Marks',
  slips: 'Slips to give back',
  slipsPaper: 'Slips (PDF)',
  redo: 'Redo sheets (PDF)',
  redoSays: 'For each code the items that left the line, with other numbers, and a key.',
  handouts: 'Handouts for each code (PDF)',
  handoutsSays: 'Each page has a small mark by which a scan finds back to its code.',
}

export const ways = {
  table: 'Typed or pasted',
  tray: 'Tray',
  scans: 'Scans',
  traySays: 'Where a school’s submission service would hand papers over.',
  inTray: (n: number | null) =>
    n === null
      ? 'The tray does not answer.'
      : n === 0
        ? 'Nothing waits in the tray.'
        : `${n} ${n === 1 ? 'paper waits' : 'papers wait'} in the tray.`,
  fetch: 'Fetch them',
  fetched: (taken: number, waiting: number) =>
    waiting
      ? `${taken} came in; ${waiting} wait for you below.`
      : `${taken} ${taken === 1 ? 'paper' : 'papers'} came in.`,
  waiting: 'Waiting for you',
  whose: 'Whose is it?',
  layHere: 'Lay it there',
  putAway: 'Put away',
  scansSays:
    'A PDF or pictures of the pages. Pages of printed handouts find their codes by their mark, in any order; the others wait to be placed. Pages are looked at, never judged.',
  scanFile: 'Scanned pages (PDF, PNG, JPEG, TIFF)',
  cutting: 'Cutting the pages',
  laid: (n: number) => `${pages(n)} laid to their codes.`,
  heap: (n: number) => `${pages(n)} to be placed:`,
  pageOf: (stack: string, position: number) => `Page ${position} of ${stack}`,
  turn: 'Turn',
  notTheirs: 'Not theirs',
  beside: 'Scanned pages',
  pageAlt: (code: string, page: number) => `Page ${page} of ${code}, scanned`,
  notShown: 'This page cannot be drawn.',
  version: 'Version',
  comment: 'To the student',
  draft: 'Draft',
  commentAlike: 'on equal work too',
  commentSays: 'Stands on the slip instead of the usual sentence.',
}
