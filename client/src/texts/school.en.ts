/** Words of a school's server: its accounts, and what a department shares. */

export const people = {
  lead: 'Who can sign in, and of which department they are. What they work on is theirs: it is not seen here.',
  search: 'Find a name or an address',
  none: 'Nobody is called so.',
  more: 'More accounts',
  name: 'Name',
  department: 'Department',
  noDepartment: 'none',
  keeps: 'Keeps accounts',
  lastHere: 'Last here',
  never: 'never',
  locked: 'locked',
  leaves: (when: string) => `leaves on ${when}`,
  actions: 'What can be done',
  lock: 'Lock',
  release: 'Release',
  reset: 'Link for a new password',
  forget: 'Take the second factor away',
  forgetSays: (name: string) =>
    `${name} then signs in with the password alone, until it is set up again. Are you sure that it is ${name} who asks?`,
  forgot: (name: string) => `${name} signs in with the password alone now.`,
  invite: 'Invite somebody',
  mail: 'Mail address (may stay empty)',
  makeLink: 'Make an invitation',
  link: 'This link is shown only now. It is good for one account.',
  linkFor: (name: string) => `For ${name}. This link is good once, for an hour.`,
  sent: 'It went by mail, too.',
  copy: 'Copy the link',
  copied: 'Copied.',
  departments: 'Departments',
  departmentsNone: 'No department yet. Colleagues of one read and copy what the others share.',
  newDepartment: 'Name of a new department',
  make: 'Make it',
  dissolve: (title: string) => `Dissolve ${title}`,
  dissolveSays: (title: string) =>
    `${title} is dissolved. Its people stay, what they shared in it is shared no more.`,
  dissolveYes: 'Dissolve it',
}

export const department = {
  lead: 'What you and your colleagues share: read it, copy it. A copy is your own; nobody changes another’s.',
  none: 'Nothing is shared yet. Share a set where it stands, a unit in the list of sets, an error of your own, or your house rules.',
  without: 'You are in no department yet. Whoever keeps the accounts puts you into one.',
  colleagues: (names: string[]) =>
    names.length ? `With ${names.join(', ')}` : 'You are the only one here so far.',
  /** What kind of thing it is, and how much is in it. */
  kindOf: (kind: 'set' | 'unit' | 'error' | 'house', count: number): string =>
    [department.kinds[kind], department.size(kind, count)].filter(Boolean).join(' · '),
  kinds: { set: 'Set', unit: 'Unit', error: 'Error', house: 'House rules' },
  what: 'What',
  of: 'Whose',
  own: 'yours',
  since: 'Since',
  forYou: 'For you',
  size: (kind: string, count: number): string => {
    if (kind === 'set') return count === 1 ? 'one problem' : `${count} problems`
    if (kind === 'unit') return count === 1 ? 'one set' : `${count} sets`
    return ''
  },
  untitled: 'Without a name',
  houseOf: (owner: string) => `House rules of ${owner}`,
  copied: 'copied',
  changed: 'changed since you copied it',
  read: 'Read',
  copy: 'Copy it',
  copyAgain: 'Copy it again',
  copyHouse: 'Take these over',
  copyHouseSays: 'Your own house rules are replaced by these.',
  done: (kind: string) =>
    kind === 'house'
      ? 'These are your house rules now.'
      : 'Copied. It is your own now, with the tag that says from whom.',
  share: 'Share with the department',
  shared: 'Shared with the department',
  end: 'Share it no more',
  shareHouse: 'Share my house rules',
  endHouse: 'Share my house rules no more',
  back: 'Back to the department',
  lines: 'Lines',
  becomes: 'becomes',
  offered: 'Classes that are handed over',
  offeredTo: (title: string, to: string) =>
    `${title} is offered to ${to}, who has not taken it yet.`,
  offers: (owner: string, title: string) =>
    `${owner} hands ${title} over to you, with its papers, marks and log.`,
  take: 'Take it',
  leave: 'Leave it',
  takeBack: 'Take the offer back',
  taken: 'The class is yours now.',
  hand: 'Hand over',
  handTitle: (title: string) => `Hand ${title} over`,
  handSays:
    'All papers, marks, lessons and the log go with it; you will not see them any more. Your sets and examples stay yours.',
  to: 'To whom',
  somebody: 'a colleague',
  sayAgain: (title: string) => `Type ${title} to say it twice`,
  handIt: 'Offer it',
  nobody: 'There is nobody else in your department.',
}
