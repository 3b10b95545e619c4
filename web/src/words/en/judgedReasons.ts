export default {
  perWeek: '{percent} % a week ({low} to {high} %, nineteen of twenty).',
  gained: '{percent} % from {from} to {to}.',
  heldUntil: '{hold} from {from} to {to}.',
  takes: 'Takes {percent} % of what it is offered when nothing keeps it from eating.',
  aliveOn: 'Food or water gone, droppings or a closed burrow {day}: it lives.',
  foundUntouched: 'Since then: food untouched {untouched} ×, water full {full} ×, no droppings {none} ×.',
  nothingFound: 'Nothing found that shows it lives.',
  forecast:
    'After {intervals} intervals of its own and its care sheet, eight of ten {what} between {from} and {to}.',
  forecastOpen: 'After {intervals} intervals of its own and its care sheet, nobody can say when.',
  sheds: 'sheds fall',
  molts: 'molts fall',
  losingRule: 'To be acted on from {below} % below the best of the year, or {week} % a week beyond chance.',
  lossAllowed: 'This explains up to {percent} % lost.',
  plausible: 'One of its stage weighs {low} to {high}.',
  season: '{season}: {why}',
  growth: 'Its care sheet: grown at {grown}, after {days} days.',
} as const
