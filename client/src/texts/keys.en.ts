/** The shortcuts of each place, and what the marks on the spine mean. */
import { hold } from './lessons.en'
import { show } from './show.en'

type Pair = readonly [key: string, does: string]

const bench: readonly Pair[] = [
  ['Enter', 'keep the line and go on; on an empty line: am I done?'],
  ['=', 'over to the right side'],
  ['← / →', 'over the sign, from side to side'],
  ['Ctrl+A', 'choose the whole line, both sides'],
  ['↑ / ↓', 'choose a line'],
  ['Enter', 'on a chosen line: edit it'],
  ['Insert', 'write a line before the chosen one'],
  ['Alt+↑ / Alt+↓', 'move the chosen line'],
  ['Delete', 'delete the chosen line (undo brings it back)'],
  ['Escape', 'back to the next line'],
  ['Ctrl+Z / Ctrl+Y', 'undo / redo'],
  ['Alt+1 … Alt+6', 'root, root with index, fraction, power, ±, |x|'],
  ['Alt+H', 'the next step: a hint, the law, the line'],
  ['Alt+W', 'work it all'],
  ['Alt+F', 'show common mistakes'],
  ['Alt+B', 'side work beside the chosen line'],
  ['Alt+S', 'show it to the class'],
  ['Alt+P', 'answer key'],
  ['Alt+X', 'cross a line out, or bring it back'],
  ['Alt+G', 'edit the problem'],
  ['Alt+T', 'choose the task'],
  ['Alt+M', 'typeset field, or plain typing'],
  ['Alt+N', 'new example'],
]

const set: readonly Pair[] = [
  ['↑ / ↓', 'choose a problem'],
  ['Alt+↑ / Alt+↓', 'move it'],
  ['Alt+T', 'make a twin of it'],
  ['Delete', 'take it out'],
]

const lesson: readonly Pair[] = [
  ['Alt+↑ / Alt+↓', 'move the item one is in'],
  ['Alt+T', 'two more like it'],
]

export const keys = {
  title: 'Shortcuts',
  here: 'In this place',
  everywhere: 'Everywhere',
  /** By the name of the place's address. */
  places: {
    ...{ bench, set, lesson, show: show.keyList },
    hold: [...hold.keyList, ...show.keyList],
  } as Record<string, readonly Pair[]>,
  all: [
    ['Tab / Shift+Tab', 'to the next control, to the one before'],
    ['Escape', 'close what lies over the page'],
    ['?', 'this overview'],
  ] as readonly Pair[],
  legend: 'What the marks mean',
  legendSays:
    'Each line hangs on one vertical line, the spine, by its sign. The shape round the sign says what is known of the line. Where a common mistake leaves the spine, a fork runs off to the side.',
}
