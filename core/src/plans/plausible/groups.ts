import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { Range } from '../../basics/range.ts'
import type { SheetGroup } from '../sheet/group.ts'

/** What can be true of any one animal of a group, newborn or the largest of its kind: wide on purpose, so that what
 * lies outside is a slip of the hand, the unit or the species. */
export interface GroupSizes {
  grams: Range
  mm: Readonly<Partial<Record<BodyPart, Range>>>
}

/** The smallest young and the largest adults of species that are kept, after general zoological works. */
export const GROUP_SIZES: Readonly<Record<SheetGroup, GroupSizes>> = {
  snake: {
    grams: [1, 100_000],
    mm: { length: [80, 7000], girth: [8, 900] },
  },
  lizard: {
    grams: [0.1, 15_000],
    mm: { length: [25, 2600] },
  },
  tortoise: {
    grams: [4, 120_000],
    mm: { shellDiameter: [20, 1200], length: [20, 1200] },
  },
  turtle: {
    grams: [2, 30_000],
    mm: { shellDiameter: [18, 700], length: [18, 700] },
  },
  frog: {
    grams: [0.02, 3500],
    mm: { length: [4, 350] },
  },
  salamander: {
    grams: [0.01, 2500],
    mm: { length: [6, 700] },
  },
  tarantula: {
    grams: [0.003, 200],
    mm: {
      legSpan: [3, 320],
      carapaceLength: [0.7, 50],
      abdomenWidth: [0.7, 60],
      abdomenLength: [1, 80],
      length: [2, 140],
    },
  },
  spider: {
    grams: [0.0005, 12],
    mm: {
      legSpan: [1, 160],
      carapaceLength: [0.4, 20],
      abdomenWidth: [0.3, 25],
      abdomenLength: [0.4, 35],
      length: [1, 60],
    },
  },
  scorpion: {
    grams: [0.01, 70],
    mm: { length: [4, 240], legSpan: [4, 300] },
  },
  whipSpider: {
    grams: [0.01, 12],
    mm: { length: [2, 65], legSpan: [8, 350], whipLength: [8, 400] },
  },
  vinegaroon: {
    grams: [0.01, 30],
    mm: { length: [4, 95], legSpan: [6, 160] },
  },
  millipede: {
    grams: [0.002, 130],
    mm: { length: [2, 400] },
  },
  centipede: {
    grams: [0.01, 60],
    mm: { length: [8, 400], legSpan: [4, 120] },
  },
  mantid: {
    grams: [0.001, 12],
    mm: { length: [2, 190], legSpan: [3, 250] },
  },
  stickInsect: {
    grams: [0.002, 80],
    mm: { length: [5, 640] },
  },
  cockroach: {
    grams: [0.001, 40],
    mm: { length: [1, 110] },
  },
  beetle: {
    grams: [0.001, 170],
    mm: { length: [1, 220] },
  },
  butterfly: {
    grams: [0.0005, 40],
    mm: { length: [1, 180] },
  },
  snail: {
    grams: [0.002, 900],
    mm: { length: [1, 300], shellDiameter: [1, 260] },
  },
  ant: {
    grams: [0.000_01, 1.5],
    mm: { length: [0.8, 55] },
  },
  isopod: {
    grams: [0.000_05, 6],
    mm: { length: [0.4, 65] },
  },
  crustacean: {
    grams: [0.001, 600],
    mm: { length: [1, 200], carapaceLength: [0.5, 120] },
  },
  springtail: {
    grams: [0.000_001, 0.02],
    mm: { length: [0.1, 12] },
  },
  worm: {
    grams: [0.0005, 30],
    mm: { length: [2, 400] },
  },
  feeder: {
    grams: [0.000_05, 25],
    mm: { length: [0.3, 110] },
  },
  rodent: {
    grams: [0.8, 900],
    mm: { length: [20, 300] },
  },
  fish: {
    grams: [0.002, 3000],
    mm: { length: [2, 600] },
  },
}
