export default {
  allFitted: 'Growth curves of {of}, fitted after every weighing and each night.',
  waiting: '{waiting} of {of} growth curves are still to be fitted.',
  fitAnew: 'Fit all again',
  stopFitting: 'Stop fitting',
} as const
