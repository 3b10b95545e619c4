export default {
  n3Mar2026: '3 Mar 2026',
  isNoDayFor: '"{unread}" is no day. For example 3 Mar 2026.',
  whatIsOftenSaid: '{label}: what is often said',
  numberNeeded: 'A number is needed here; {value} counts until then.',
} as const
