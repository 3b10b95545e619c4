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

/** What is wrong with a care sheet as somebody wrote it, in one sentence. */
export function saySheetFault({ what }: Pick<SheetFault, 'what'>): string {
  switch (what.code) {
    case 'unread':
      return what.message
    case 'tangled':
      return 'It refers to itself too often to be read.'
    case 'otherSheet':
      return `This is the sheet "${what.sheet}", not "${what.asked}".`
    case 'stageInUse':
      return sayInUse(what)
    case 'optionInUse':
      return `${what.by ?? 'This site'} is on the side "${what.option}" of "${what.school}", which this sheet does not have.`
    case 'twice':
      return `There are two ${what.what} called "${what.id}".`
    case 'backwards':
      return `${what.of}: the range begins at ${what.from} and ends below it, at ${what.to}.`
    case 'ceilingTooLow':
      return `${what.zone}: the ceiling of ${what.ceiling} °C is not above the ${what.wanted} °C that are wanted there.`
    case 'neverBelowTooHigh':
      return `${what.zone}: ${what.neverBelow} °C, below which it is harmed, is not below the ${what.wanted} °C that are wanted there.`
    case 'measuresUnsaid':
      return `${what.zone}: say what is measured there: air, surface, floor, water or nest.`
    case 'ceilingUnsaid':
      return 'No zone that surrounds it (air, floor, water, nest) says above what it is harmed. A warm surface can be left, a hot room cannot.'
    case 'neverBelowUnsaid':
      return 'No zone that surrounds it (air, floor, water, nest) says below what it is harmed.'
    case 'overSaturated':
      return `${what.zone}: more than 100 % humidity.`
    case 'sizesLack':
      return what.lack === 'grams'
        ? `${what.duty}: a share of body weight needs the grams of every size.`
        : `${what.duty}: prey by width needs the width of every size.`
    case 'portionOutside':
      return `${what.duty}: the portion of ${what.grams} g lies outside its bounds, ${what.min} to ${what.max} g.`
    case 'noTolerance':
      return `${what.duty}: it has no window. Say with "tolerance" how many days early or late it may be done.`
    case 'windowShut':
      return `${what.duty}: its window closes before it opens.`
    case 'neverOffered':
      return `${what.duty}: ${what.item} must never be offered.`
    case 'unreachable':
      return `Nobody can reach ${what.next}: ${what.stage} does not say when it ends.`
    case 'nobodyStays':
      return `Nobody stays in ${what.stage}: ${what.earlier} already ends at ${what.earlierEnds}, and this at ${what.ends}.`
    case 'defaultUnknown':
      return `${what.question} The default "${what.option}" is not one of its options.`
    case 'noOptionStands':
      return `No side of "${what.question}" can stand ${what.ultraviolet ? 'with' : 'without'} ultraviolet.`
    case 'restLacks':
      return `The winter rest "${what.option}" lacks ${REST_LACKS[what.lack]}: without it nobody should choose it.`
    case 'floorTooThin':
      return `The floor is mixed ${what.has} mm deep, and the housing asks for ${what.needs} mm. Is that meant?`
    case 'stageUnknown':
      return `There is no stage "${what.stage}".`
    case 'vetUnnamed':
      return `"${what.sign}" is urgent: its first step has to name the vet.`
    case 'fahrenheit':
      return `${what.zone}${what.of === 'ceiling' ? ', ceiling' : ''}: ${what.value} °C? If that was °F, it is ${what.celsius} °C.`
    case 'share':
      return `${what.zone}: ${what.value} % humidity? A share of 0.8 is written 80.`
    case 'outsideGroup':
      return sayOutsideGroup(what)
    case 'longDay':
      return `${what.hours} hours of light a day?`
    case 'winterLonger':
      return `The day is ${what.winter} hours long in winter and ${what.summer} in summer: the wrong way round.`
    case 'widerThanEyes':
      return `${what.duty}: its never-list says no prey wider than the gap between its eyes; measure the prey by that gap.`
    case 'adviceForbidden':
      return `"${what.says}" advises what the never-list forbids: "${what.line}". Is that meant?`
    case 'cannotCarryOut':
      return sayCannotCarryOut(what)
  }
}
