import * as z from 'zod/mini'

/** What a species is, as far as husbandry differs. */
export const SheetGroup = z.enum([
  'snake',
  'lizard',
  'tortoise',
  'frog',
  'salamander',
  'tarantula',
  'scorpion',
  'whipSpider',
  'vinegaroon',
  'millipede',
  'mantid',
  'stickInsect',
  'cockroach',
  'beetle',
  'butterfly',
  'snail',
  'ant',
  'isopod',
  'springtail',
  'feeder',
  'fish',
])
export type SheetGroup = z.infer<typeof SheetGroup>
