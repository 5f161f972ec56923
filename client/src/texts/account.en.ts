/** Words of one's own account, and of signing in. */

export const signIn = {
  shared: 'This computer is shared',
  sharedSays: 'You are signed out when nothing is done for fifteen minutes.',
  demonstration: 'This is a demonstration with made-up teachers: marin and okafor, harbour-42.',
  beginTitle: 'Begin your own',
  begin: 'Begin',
  haveOne: 'I have an account',
  passwordRule: 'Ten characters or more; no common one.',
  title: 'Sign in',
  again: 'Your session has ended',
  againSays: 'What you typed is still here. Sign in and it is saved.',
  name: 'Name',
  password: 'Password',
  go: 'Sign in',
  lead: 'Examples worked line by line, every line proved.',
  provider: (label: string) => `Sign in with ${label}`,
  forgot: 'I forgot my password',
  nameOrMail: 'Name or mail address',
  send: 'Send me a link',
  sent: 'If there is such an account with a mail address, a link is on its way. It is good for an hour.',
  back: 'Back to signing in',
  number: 'Second factor',
  numberSays: 'The six figures that your authenticator shows now, or one of your recovery codes.',
  newPassword: 'A new password',
  setPassword: 'Set the password',
  reset: 'The password is set. You are signed out everywhere: sign in with it.',
  yourAccount: 'Your account',
  invitedBy: (by: string, department: string) =>
    [by && `${by} invites you`, department && `into ${department}`].filter(Boolean).join(' ') +
    '. Choose the name and the password that you sign in with.',
  mail: 'Mail address, for a forgotten password',
  makeAccount: 'Make my account',
  said: {
    'provider-none': 'This server has no sign-in of a school.',
    'provider-away': 'The school’s sign-in does not answer. Try again, or use your password.',
    'provider-declined': 'You did not sign in there.',
    'provider-lies':
      'What the school’s sign-in said could not be trusted, so nobody was signed in. Try again; if it stays, tell whoever keeps this server.',
    'provider-unknown':
      'Nobody here is connected with that school account. Sign in with your password, then connect it under Account.',
    'provider-taken': 'Another teacher here is connected with that school account.',
    'provider-locked': 'This account is locked. Ask whoever keeps the accounts.',
  } as Record<string, string>,
}

export const account = {
  title: 'Your account',
  who: (name: string, department: string, administrator: boolean) =>
    [name, department, administrator && 'keeps the school’s accounts'].filter(Boolean).join(' · '),
  password: 'Password',
  old: 'Password so far',
  fresh: 'New password (ten characters or more)',
  change: 'Change the password',
  changed: 'Changed. Everywhere else you are signed out.',
  say: 'Your password',
  places: 'Where you are signed in',
  since: (when: string) => `since ${when}`,
  here: 'here',
  leave: 'Sign out there',
  leaveOthers: 'Sign out everywhere else',
  someBrowser: 'some browser',
  second: 'Second factor',
  secondOff:
    'Besides the password, a number that an authenticator on your telephone shows. Whoever learns your password cannot sign in with it alone.',
  secondOn: (left: number) =>
    `A number is asked for when you sign in. ${left === 1 ? 'One recovery code is' : `${left} recovery codes are`} left.`,
  beginSecond: 'Set it up',
  dropSecond: 'Ask for it no more',
  scan: 'Have your authenticator read this picture.',
  picture: 'What your authenticator reads',
  orType: 'Or type this into it:',
  confirm: 'That is the number',
  codes:
    'Write these down and keep them elsewhere. Each lets you in once, without your telephone. They are shown only now.',
  mail: 'Mail address',
  mailSays: 'Links for a new password go there, and nothing else.',
  keepMail: 'Keep the address',
  mailChanged: 'Kept.',
  provider: 'The school’s sign-in',
  providerSays: {
    on: 'Your school account opens this account.',
    off: 'With it you need no password here.',
  },
  connect: (label: string) => `Connect ${label}`,
  disconnect: 'Disconnect it',
  said: { connected: 'Connected. From now on your school account opens this account.' } as Record<
    string,
    string
  >,
  audit: 'What was done to this account',
  auditNone: 'Nothing yet.',
  auditMore: 'Earlier entries',
  by: (who: string, address: string) => [who, address].filter(Boolean).join(', '),
  leaving: 'Delete the account',
  leavingSays:
    'With everything in it, papers and logs too. First keep everything as a file; it can be brought back from that, here or elsewhere. You have two weeks to think better of it.',
  keep: 'Keep everything as a file',
  kept: (when: string) => `last on ${when}`,
  delete: 'Delete my account',
  leavesOn: (when: string) => `This account and everything in it will be deleted on ${when}.`,
  stay: 'Stay',
}
