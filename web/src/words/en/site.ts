export default {
  noPlace: 'no place',
  shelfPlace: '{name} · {name2} · shelf {row}, place {column}',
  somebody: 'somebody',
} as const
