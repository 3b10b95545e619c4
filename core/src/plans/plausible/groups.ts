import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { Range } from '../../basics/range.ts'
import type { SheetGroup } from '../sheet/group.ts'

/** What can be true of any one animal of a group, kept anywhere, newborn or the largest of its kind: wide on
 * purpose, so that what lies outside is a slip of the hand, the unit or the species. */
export interface GroupLimits {
  grams: Range
  mm: Readonly<Partial<Record<BodyPart, Range>>>
  /** What a sheet may ask for outside of a rest, of all that surrounds the animal, °C. */
  around: Range
  /** The warmest surface a sheet may ask for, °C. */
  surface: number
  /** The largest meal a sheet may ask for, as a share of body weight. */
  meal: number
}

/** Sizes: the smallest young and the largest adults of species that are kept, after general zoological works;
 * temperatures: between where the hardiest of the group are active and where the most heat-loving begin to
 * suffer, after Mader, Reptile and Amphibian Medicine and Surgery (2006), Wright & Whitaker, Amphibian Medicine
 * and Captive Husbandry (2001) and Lewbart, Invertebrate Medicine (2012), rounded to the cautious side. They are
 * a second opinion on sheets and values, not husbandry advice. */
export const GROUP_LIMITS: Readonly<Record<SheetGroup, GroupLimits>> = {
  snake: {
    grams: [1, 100_000],
    mm: { length: [80, 7000], girth: [8, 900] },
    around: [12, 35],
    surface: 42,
    meal: 0.25,
  },
  lizard: { grams: [0.1, 15_000], mm: { length: [25, 2600] }, around: [10, 38], surface: 52, meal: 0.2 },
  tortoise: {
    grams: [4, 120_000],
    mm: { shellDiameter: [20, 1200], length: [20, 1200] },
    around: [10, 36],
    surface: 46,
    meal: 0.2,
  },
  turtle: {
    grams: [2, 30_000],
    mm: { shellDiameter: [18, 700], length: [18, 700] },
    around: [14, 33],
    surface: 42,
    meal: 0.2,
  },
  frog: { grams: [0.02, 3500], mm: { length: [4, 350] }, around: [6, 31], surface: 36, meal: 0.2 },
  salamander: { grams: [0.01, 2500], mm: { length: [6, 700] }, around: [3, 23], surface: 26, meal: 0.15 },
  tarantula: {
    grams: [0.003, 200],
    mm: {
      legSpan: [3, 320],
      carapaceLength: [0.7, 50],
      abdomenWidth: [0.7, 60],
      abdomenLength: [1, 80],
      length: [2, 140],
    },
    around: [14, 32],
    surface: 36,
    meal: 0.5,
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
    around: [14, 32],
    surface: 36,
    meal: 0.6,
  },
  scorpion: {
    grams: [0.01, 70],
    mm: { length: [4, 240], legSpan: [4, 300] },
    around: [14, 36],
    surface: 42,
    meal: 0.4,
  },
  whipSpider: {
    grams: [0.01, 12],
    mm: { length: [2, 65], legSpan: [8, 350], whipLength: [8, 400] },
    around: [16, 31],
    surface: 34,
    meal: 0.4,
  },
  vinegaroon: {
    grams: [0.01, 30],
    mm: { length: [4, 95], legSpan: [6, 160] },
    around: [14, 32],
    surface: 35,
    meal: 0.4,
  },
  millipede: { grams: [0.002, 130], mm: { length: [2, 400] }, around: [14, 31], surface: 33, meal: 1 },
  centipede: {
    grams: [0.01, 60],
    mm: { length: [8, 400], legSpan: [4, 120] },
    around: [14, 31],
    surface: 34,
    meal: 0.5,
  },
  mantid: {
    grams: [0.001, 12],
    mm: { length: [2, 190], legSpan: [3, 250] },
    around: [16, 36],
    surface: 42,
    meal: 1,
  },
  stickInsect: { grams: [0.002, 80], mm: { length: [5, 640] }, around: [14, 31], surface: 34, meal: 1 },
  cockroach: { grams: [0.001, 40], mm: { length: [1, 110] }, around: [16, 36], surface: 40, meal: 1 },
  beetle: { grams: [0.001, 170], mm: { length: [1, 220] }, around: [14, 31], surface: 34, meal: 1 },
  butterfly: { grams: [0.0005, 40], mm: { length: [1, 180] }, around: [12, 34], surface: 38, meal: 3 },
  snail: {
    grams: [0.002, 900],
    mm: { length: [1, 300], shellDiameter: [1, 260] },
    around: [10, 29],
    surface: 31,
    meal: 0.5,
  },
  ant: { grams: [0.000_01, 1.5], mm: { length: [0.8, 55] }, around: [8, 33], surface: 36, meal: 1 },
  isopod: { grams: [0.000_05, 6], mm: { length: [0.4, 65] }, around: [8, 31], surface: 34, meal: 1 },
  crustacean: {
    grams: [0.001, 600],
    mm: { length: [1, 200], carapaceLength: [0.5, 120] },
    around: [10, 31],
    surface: 33,
    meal: 0.5,
  },
  springtail: { grams: [0.000_001, 0.02], mm: { length: [0.1, 12] }, around: [6, 30], surface: 32, meal: 1 },
  worm: { grams: [0.0005, 30], mm: { length: [2, 400] }, around: [8, 28], surface: 30, meal: 1 },
  feeder: { grams: [0.000_05, 25], mm: { length: [0.3, 110] }, around: [10, 36], surface: 40, meal: 1 },
  rodent: { grams: [0.8, 900], mm: { length: [20, 300] }, around: [16, 27], surface: 30, meal: 0.35 },
  fish: { grams: [0.002, 3000], mm: { length: [2, 600] }, around: [6, 31], surface: 32, meal: 0.1 },
}
