import type { SheetFault } from '@kobrin/contract'

function sayInUse({ stage, names: some, more }: Extract<SheetFault['what'], { code: 'stageInUse' }>): string {
  const who = more > 0 ? `${some.join(', ')} and ${more} more` : some.join(', ')
  return `The stage "${stage}" is missing, and ${who} ${some.length + more === 1 ? 'lives' : 'live'} in it.`
}

const REST_LACKS = {
  gate: 'who may rest, the fast before, and how it ends',
  hold: 'the hold that keeps food and baths away',
  climate: 'its own temperatures',
  weighing: 'a weighing every week',
}

const OUTSIDE = {
  zone: { about: 'is kept at', unit: '°C' },
  ceiling: { about: 'is harmed only above', unit: '°C' },
  meal: { about: 'is a meal of', unit: '% of body weight' },
  grams: { about: 'weighs', unit: 'g' },
  mm: { about: 'measures', unit: 'mm' },
}

function sayOutsideGroup({
  of,
  what,
  value,
  low,
  high,
}: Extract<SheetFault['what'], { code: 'outsideGroup' }>): string {
  const { about, unit } = OUTSIDE[of]
  const told = (number: number) => Math.round((of === 'meal' ? number * 100 : number) * 1000) / 1000
  return `"${what}" ${about} ${told(value)} ${unit}; of its group that is plausible between ${told(low)} and ${told(high)}. Is that meant?`
}

function sayCannotCarryOut({
  why,
  stage,
  duty,
  asks = 0,
  most = 0,
}: Extract<SheetFault['what'], { code: 'cannotCarryOut' }>): string {
  const at = `${stage}, ${duty}: `
  switch (why) {
    case 'tooWet':
      return `${at}${asks} l is more than the floor of the smallest enclosure takes up (${most} l). Is that meant?`
    case 'bowlTooLarge':
      return `${at}a bowl of ${asks} l in the smallest enclosure, where ${most} l leave it dry ground? Is that meant?`
    case 'tankEmptied':
      return `${at}${asks} l is more than may be changed at once in the smallest tank (${most} l). Is that meant?`
    case 'noBowl':
      return `${at}water is to be given, and the housing has no bowl. Say "bowl: true", or what is filled.`
    case 'noCrew':
      return `${at}a clean-up crew is to be looked after, and the housing has none.`
    case 'livingFloorOut':
      return `${at}a living floor is taken out whole again and again. Is that meant?`
    case 'noFloorForOne':
      return `${stage}: each needs ${asks} cm² of floor, and the smallest enclosure has ${most} cm².`
    case 'noVolumeForOne':
      return `${stage}: each needs ${asks} l, and the smallest enclosure has ${most} l.`
  }
}

type What = SheetFault['what']

const SAYS: { [C in What['code']]: (what: Extract<What, { code: C }>) => string } = {
  unread: (what) => what.message,
  tangled: () => 'It refers to itself too often to be read.',
  otherSheet: (what) => `This is the sheet "${what.sheet}", not "${what.asked}".`,
  stageInUse: (what) => sayInUse(what),
  optionInUse: (what) =>
    `${what.by ?? 'This site'} is on the side "${what.option}" of "${what.school}", which this sheet does not have.`,
  twice: (what) => `There are two ${what.what} called "${what.id}".`,
  backwards: (what) => `${what.of}: the range begins at ${what.from} and ends below it, at ${what.to}.`,
  ceilingTooLow: (what) =>
    `${what.zone}: the ceiling of ${what.ceiling} °C is not above the ${what.wanted} °C that are wanted there.`,
  neverBelowTooHigh: (what) =>
    `${what.zone}: ${what.neverBelow} °C, below which it is harmed, is not below the ${what.wanted} °C that are wanted there.`,
  measuresUnsaid: (what) => `${what.zone}: say what is measured there: air, surface, floor, water or nest.`,
  ceilingUnsaid: () =>
    'No zone that surrounds it (air, floor, water, nest) says above what it is harmed. A warm surface can be left, a hot room cannot.',
  neverBelowUnsaid: () => 'No zone that surrounds it (air, floor, water, nest) says below what it is harmed.',
  overSaturated: (what) => `${what.zone}: more than 100 % humidity.`,
  sizesLack: (what) =>
    what.lack === 'grams'
      ? `${what.duty}: a share of body weight needs the grams of every size.`
      : `${what.duty}: prey by width needs the width of every size.`,
  portionOutside: (what) =>
    `${what.duty}: the portion of ${what.grams} g lies outside its bounds, ${what.min} to ${what.max} g.`,
  noTolerance: (what) =>
    `${what.duty}: it has no window. Say with "tolerance" how many days early or late it may be done.`,
  windowShut: (what) => `${what.duty}: its window closes before it opens.`,
  neverOffered: (what) => `${what.duty}: ${what.item} must never be offered.`,
  unreachable: (what) => `Nobody can reach ${what.next}: ${what.stage} does not say when it ends.`,
  nobodyStays: (what) =>
    `Nobody stays in ${what.stage}: ${what.earlier} already ends at ${what.earlierEnds}, and this at ${what.ends}.`,
  defaultUnknown: (what) => `${what.question} The default "${what.option}" is not one of its options.`,
  noOptionStands: (what) =>
    `No side of "${what.question}" can stand ${what.ultraviolet ? 'with' : 'without'} ultraviolet.`,
  restLacks: (what) =>
    `The winter rest "${what.option}" lacks ${REST_LACKS[what.lack]}: without it nobody should choose it.`,
  floorTooThin: (what) =>
    `The floor is mixed ${what.has} mm deep, and the housing asks for ${what.needs} mm. Is that meant?`,
  stageUnknown: (what) => `There is no stage "${what.stage}".`,
  vetUnnamed: (what) => `"${what.sign}" is urgent: its first step has to name the vet.`,
  fahrenheit: (what) =>
    `${what.zone}${what.of === 'ceiling' ? ', ceiling' : ''}: ${what.value} °C? If that was °F, it is ${what.celsius} °C.`,
  share: (what) => `${what.zone}: ${what.value} % humidity? A share of 0.8 is written 80.`,
  outsideGroup: (what) => sayOutsideGroup(what),
  longDay: (what) => `${what.hours} hours of light a day?`,
  winterLonger: (what) =>
    `The day is ${what.winter} hours long in winter and ${what.summer} in summer: the wrong way round.`,
  seasonInRest: (what) => `"${what.option}" falls into the winter rest of the same stage. Is that meant?`,
  widerThanEyes: (what) =>
    `${what.duty}: its never-list says no prey wider than the gap between its eyes; measure the prey by that gap.`,
  adviceForbidden: (what) =>
    `"${what.says}" advises what the never-list forbids: "${what.line}". Is that meant?`,
  cannotCarryOut: (what) => sayCannotCarryOut(what),
}

/** What is wrong with a care sheet as somebody wrote it, in one sentence. */
export function saySheetFault({ what }: Pick<SheetFault, 'what'>): string {
  const say = SAYS[what.code] as (of: What) => string
  return say(what)
}
