export default {
  setUpYourHouse: 'Set up your house',
  nothingIsOnRecord:
    'Nothing is on record here yet. This takes a minute; rooms, boxes and people come after it.',
  code: 'Code shown where Kobrin was started',
  codeHint: 'The start of Kobrin printed it, and an address that has it at its end.',
  houseName: 'Name of the house',
  likeLongLane: 'Long Lane Rescue',
  units: 'Units',
  zone: 'Time zone: when a day begins here',
  youAnswer: 'You answer for this house',
  yourName: 'Your name',
  signInName: 'Sign-in name',
  passphrase: 'Passphrase: a few words',
  again: 'The same again',
  notTheSame: 'These two are not the same.',
  begin: 'Begin',
  lookRoundFirst: 'Look round first',
  ropewalk:
    'The Ropewalk is an invented house with eighteen months of history. It has a record of its own and is never mixed into yours. In another terminal, where Kobrin is:',
} as const
