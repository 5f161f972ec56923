/** Words of the first minute. */
export const first = {
  title: 'Every line is proved',
  lead: 'One worked example, with one mistake in it. Four steps, a minute.',
  steps: [
    {
      title: 'A line that follows',
      says: 'Each line hangs by its sign on one vertical line, the spine. A filled disc says that the line follows; beside it stands the reason.',
    },
    {
      title: 'A line that leaves',
      says: 'A diamond says that the line does not follow. The mistake behind it has a name, because students make it often.',
    },
    {
      title: 'A number that proves it',
      says: 'No opinion: here is a number that fits the line before and does not fit this one.',
    },
    {
      title: 'What only follows from it',
      says: 'A light ring beside the spine: right work after the mistake. A student loses the mark once, not three times.',
    },
  ],
  next: (n: number, of: number) => (n < of ? `Next (${n} of ${of})` : 'Now you'),
  tryTitle: 'Write the line as it should be',
  trySays:
    'Left side, =, right side. The mark changes while you type. Enter keeps the line once it follows.',
  done: 'That is all there is to it',
  doneSays:
    'Every line you write, paste or print here is held like this one. Press ? for the shortcuts and for all marks.',
  ways: 'Go on',
  pose: 'Pose a problem.',
  poseSays: 'Type it, write its lines, or let it be worked.',
  sheet: 'Bring in a sheet or an answer key.',
  sheetSays: 'Paste it: every answer is checked.',
  set: 'Begin a set.',
  setSays: 'A sheet, a test, a review: ordered by difficulty, with its key.',
  again: 'Show the introduction',
}
