import * as z from 'zod/mini'

/** What a species is, as far as husbandry differs. */
export const SheetGroup = z.enum([
  'snake',
  'lizard',
  'tortoise',
  'turtle',
  'frog',
  'salamander',
  'tarantula',
  'spider',
  'scorpion',
  'whipSpider',
  'vinegaroon',
  'millipede',
  'centipede',
  'mantid',
  'stickInsect',
  'cockroach',
  'beetle',
  'butterfly',
  'snail',
  'ant',
  'isopod',
  'crustacean',
  'springtail',
  'worm',
  'feeder',
  'rodent',
  'fish',
])
export type SheetGroup = z.infer<typeof SheetGroup>

export const REPTILES: readonly SheetGroup[] = ['snake', 'lizard', 'tortoise', 'turtle']
export const AMPHIBIANS: readonly SheetGroup[] = ['frog', 'salamander']
