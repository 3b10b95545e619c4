export default {
  close: 'Close',
  clear: 'Clear',
  today: 'Today',
  choose: 'Choose',
  chooseDate: 'Choose a day',
  chooseMonth: 'Choose a month',
  chooseYear: 'Choose a year',
  before: 'Before',
  after: 'After',
  nothingFound: 'Nothing by that name',
  nothingToChoose: 'Nothing to choose from',
} as const
