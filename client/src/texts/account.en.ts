/** Words of one's own account. */

export const account = {
  title: 'Your account',
  old: 'Password so far',
  fresh: 'New password (ten characters or more)',
  change: 'Change the password',
  changed: 'Changed. Everywhere else you are signed out.',
  places: 'Where you are signed in',
  since: (when: string) => `since ${when}`,
  here: 'here',
  leave: 'Sign out there',
  leaveOthers: 'Sign out everywhere else',
  someBrowser: 'some browser',
}
