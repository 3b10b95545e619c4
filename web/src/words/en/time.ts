export default {
  when: 'When',
  now: 'Now',
  todayAt: 'This morning, {time}',
  yesterdayAt: 'Yesterday evening, {time}',
  another: 'At another time …',
  forDay: 'For {day}, {time}',
  notYet: 'That is still to come. What is planned is not said here.',
  dayAndTime: 'Day and time',
} as const
