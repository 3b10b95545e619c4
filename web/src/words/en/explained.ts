export default {
  ecdysis: 'the skin that came off',
  ecdysisLikely: 'a shed or molt is likely due',
  laid: 'laid',
  moved: 'the move',
  season: 'the season',
  spurt: 'the end of a spurt',
  heat: 'too warm',
  cold: 'too cold',
} as const
