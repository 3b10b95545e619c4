export default {
  losing: 'Who is losing weight',
  notGrowing: 'Who is not growing',
  gaining: 'Who gains too much or is fat',
  thin: 'Who is thin',
  refusing: 'Who refuses',
  notToHandle: 'Who is not to be handled: skin',
  skinSoon: 'Who sheds or molts within a week',
  skinLate: 'Whose skin is late or still on',
  unseen: 'Who was not seen',
  notWeighed: 'Who is due to be weighed',
  nextStage: 'Who changes prey or box within a month',
  doubtful: 'Whose weight does not fit',
} as const
