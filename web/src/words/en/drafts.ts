export default {
  begunAndNotKept: 'Begun {when} and not kept: here it is again.',
  startAnew: 'Start over',
} as const
