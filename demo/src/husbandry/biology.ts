/** How the animals of the simulation live. Round numbers from common husbandry practice, only good
 * enough to make a record look like life; nothing in the product reads them. */
export interface Biology {
  /** Grown and starting mass, grams. */
  adultGrams?: number
  youngGrams?: number
  /** Share of the remaining growth made in a day. */
  growthPerDay?: number
  /** Days from one shed or molt to the next, mean and spread. */
  skin?: {
    every: number
    spread: number
    signDays: number
    sign: 'inBlue' | 'premolt'
    ends: 'shed' | 'molted'
    hardens?: number
    sealsIn?: number
  }
  /** Chance that an offered meal is taken. */
  appetite: number
  seen: number
  /** Body parts a prey rule measures, mm when grown. */
  parts?: Partial<Record<'headWidth' | 'eyeGap' | 'abdomenWidth', number>>
}

const TARANTULA = (every: number, grams: number, abdomen: number): Biology => ({
  adultGrams: grams,
  youngGrams: grams * 0.8,
  growthPerDay: 0.001,
  skin: {
    every,
    spread: every * 0.15,
    signDays: 26,
    sign: 'premolt',
    ends: 'molted',
    hardens: 10,
    sealsIn: 0.35,
  },
  appetite: 0.82,
  seen: 0.93,
  parts: { abdomenWidth: abdomen },
})

const SNAKE = (grams: number, young: number, every: number): Biology => ({
  adultGrams: grams,
  youngGrams: young,
  growthPerDay: 0.002,
  skin: { every, spread: 5, signDays: 7, sign: 'inBlue', ends: 'shed' },
  appetite: 0.93,
  seen: 0.96,
})

const YOUNG = (grams: number, young: number, growthPerDay: number, shedsEvery: number): Biology => ({
  adultGrams: grams,
  youngGrams: young,
  growthPerDay,
  appetite: 0.9,
  seen: 0.94,
  skin: { every: shedsEvery, spread: shedsEvery * 0.12, signDays: 3, sign: 'inBlue', ends: 'shed' },
})

const COLONY: Biology = { appetite: 0.97, seen: 0.97 }

export const BIOLOGY: Readonly<Record<string, Biology>> = {
  'royal-python/adult': SNAKE(1700, 1350, 48),
  'royal-python/hatchling': { ...SNAKE(650, 90, 33), growthPerDay: 0.003, appetite: 0.86 },
  'western-hognose/adult': SNAKE(260, 190, 42),
  'kingsnake/adult': SNAKE(720, 560, 40),
  'crested-gecko/adult': {
    adultGrams: 42,
    youngGrams: 36,
    growthPerDay: 0.002,
    appetite: 0.9,
    seen: 0.94,
    parts: { headWidth: 13 },
    skin: { every: 30, spread: 4, signDays: 2, sign: 'inBlue', ends: 'shed' },
  },
  'crested-gecko/juvenile': {
    adultGrams: 30,
    youngGrams: 3,
    growthPerDay: 0.004,
    appetite: 0.85,
    seen: 0.93,
    parts: { headWidth: 9 },
    skin: { every: 20, spread: 3, signDays: 2, sign: 'inBlue', ends: 'shed' },
  },
  'leopard-gecko/adult': {
    adultGrams: 68,
    youngGrams: 58,
    growthPerDay: 0.002,
    appetite: 0.92,
    seen: 0.95,
    parts: { eyeGap: 11 },
    skin: { every: 35, spread: 5, signDays: 3, sign: 'inBlue', ends: 'shed' },
  },
  'blue-tongued-skink/adult': {
    adultGrams: 520,
    youngGrams: 470,
    growthPerDay: 0.002,
    appetite: 0.94,
    seen: 0.95,
    skin: { every: 60, spread: 8, signDays: 6, sign: 'inBlue', ends: 'shed' },
  },
  'hermanns-tortoise/adult': {
    adultGrams: 1100,
    youngGrams: 950,
    growthPerDay: 0.001,
    appetite: 0.95,
    seen: 0.99,
  },
  'green-tree-frog/adult': {
    adultGrams: 62,
    youngGrams: 52,
    growthPerDay: 0.002,
    appetite: 0.91,
    seen: 0.95,
  },
  'fire-salamander/adult': { adultGrams: 32, youngGrams: 27, growthPerDay: 0.001, appetite: 0.88, seen: 0.7 },
  'chile-rose/adult': TARANTULA(430, 22, 17),
  'mexican-redknee/adult': TARANTULA(400, 24, 19),
  'mexican-redknee/juvenile': {
    ...TARANTULA(95, 6, 8),
    youngGrams: 1.2,
    growthPerDay: 0.003,
    skin: { every: 95, spread: 14, signDays: 12, sign: 'premolt', ends: 'molted', hardens: 6, sealsIn: 0.5 },
  },
  'curly-hair/adult': TARANTULA(330, 20, 17),
  'orchid-mantis/nymph': {
    appetite: 0.9,
    seen: 0.99,
    skin: { every: 17, spread: 3, signDays: 2, sign: 'premolt', ends: 'molted', hardens: 2 },
  },
  'land-snail/adult': { adultGrams: 190, youngGrams: 130, growthPerDay: 0.002, appetite: 0.94, seen: 0.93 },
  'asian-forest-scorpion/adult': { appetite: 0.85, seen: 0.9 },
  'whip-spider/group': { appetite: 0.9, seen: 0.94 },
  'giant-millipede/adult': { appetite: 0.96, seen: 0.85 },
}

/** Young that are followed until they are grown; in a house they are put on the next stage before. */
export const GROWING_UP: Readonly<Record<string, Biology>> = {
  ...BIOLOGY,
  'royal-python/hatchling': { ...SNAKE(1500, 90, 33), growthPerDay: 0.0029, appetite: 0.86 },
  'crested-gecko/juvenile': { ...YOUNG(42, 3, 0.0063, 20), parts: { headWidth: 9 } },
  'leopard-gecko/juvenile': YOUNG(65, 5, 0.008, 19),
  'bearded-dragon/juvenile': YOUNG(420, 6, 0.0085, 24),
  'blue-tongued-skink/juvenile': YOUNG(520, 20, 0.0058, 27),
  'kingsnake/hatchling': YOUNG(500, 10, 0.0041, 27),
  'western-hognose/hatchling': YOUNG(200, 8, 0.004, 27),
  'hermanns-tortoise/juvenile': {
    adultGrams: 1200,
    youngGrams: 150,
    growthPerDay: 0.0012,
    appetite: 0.95,
    seen: 0.98,
  },
}

export function biologyOf(sheet: string, stage: string): Biology {
  return BIOLOGY[`${sheet}/${stage}`] ?? COLONY
}
