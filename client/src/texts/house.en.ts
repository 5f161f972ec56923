/** The words of the house rules. */
export const house = {
  title: 'House rules',
  lead: 'Set once; every example obeys them.',
  juxtaposition: 'How is 1/2x read?',
  equal: 'Equal rank, from the left',
  equalSays: 'An unwritten multiplication has the rank of a written one.',
  tighter: 'The unwritten product first',
  tighterSays: '2x holds together as one thing.',
  decimal: 'Decimals',
  point: 'a point',
  comma: 'a comma',
  commaSays: '1,5; then ; stands between solutions',
  density: 'How many lines does a worked example have?',
  fine: 'Every move',
  board: 'As on the board',
  key: 'As in a key',
  radicals: 'What may letters under a square root be?',
  anyLetter: 'Any number',
  anyLetterSays: 'The root of x² is the absolute value of x.',
  nonNegative: 'Zero or positive',
  nonNegativeSays: 'The assumption is written on every line that needs it.',
  taught: 'Which way do you teach?',
  taughtLead: 'It is taken first wherever it applies. The others stay right.',
  noneTaught: 'Whatever suits',
  schools: {
    linear: 'Linear equations',
    fractions: 'Linear equations with fractions',
    quadratic: 'Quadratic equations',
    trinomial: 'Trinomials that do not start with 1',
    root: 'Square roots of numbers',
    below: 'A root below the bar',
    rational: 'Rational equations',
    proportion: 'One fraction on each side',
    complex: 'Fractions in fractions',
    division: 'Polynomials divided',
  },
  spelling: 'How are words spelt?',
  spellings: { us: 'as in the US', uk: 'as in the UK' },
  live: 'With these rules',
  kept: 'Kept.',
  groups: {
    reading: 'How lines are read and written',
    answers: 'How an answer is left',
    wording: 'What is said',
  },
  groupSays: {
    answers:
      'Whoever leaves it in another form is right as well; keys and worked lines follow the choice.',
  },
  moreRules: 'More rules',
  conventions: {
    plus_minus: {
      title: 'Two solutions with ±',
      choices: {
        'written-out': 'Each written out at the end',
        kept: 'Left as ± before a root',
        split: '± split as soon as a root is taken',
      },
    },
    no_real_root: {
      title: 'No real solution',
      choices: { 'no-solution': 'Said so', complex: 'The complex solutions, with i' },
    },
    checks: {
      title: 'Which checks are asked for?',
      choices: {
        every: 'Every solution',
        'where-needed': 'Where a step may bring extra ones',
        none: 'Only what is thrown out',
      },
    },
    fractions: {
      title: 'A number above 1 that is no whole one',
      choices: { improper: 'An improper fraction', mixed: 'A mixed number' },
    },
    powers: {
      title: 'Powers of numbers in an answer',
      choices: {
        'worked-out': 'Worked out',
        small: 'Worked out up to 1000',
        left: 'Left as powers',
      },
    },
    numerators: {
      title: 'The top of a fraction with letters',
      choices: { expanded: 'Multiplied out', factored: 'In factors' },
    },
    domains: {
      title: 'A domain',
      choices: {
        except: 'All real numbers except …',
        'set-builder': 'Set-builder notation',
        interval: 'Intervals',
      },
    },
    removing: {
      title: 'A common factor',
      choices: { 'divide-out': 'divides out', cancel: 'cancels' },
    },
    undoing: {
      title: 'Dividing and multiplying',
      choices: { inverse: 'are inverse operations', undo: 'undo each other' },
    },
  },
} as const
