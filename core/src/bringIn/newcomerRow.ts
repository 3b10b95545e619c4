import type { Origin } from '../facts/residents/identity.ts'
import type { Sex } from '../facts/residents/register.ts'
import type { Sheet } from '../plans/sheet/sheet.ts'
import type { House, KnownResident } from './house.ts'
import { plain } from './house.ts'
import type { RowMoment, RowReading } from './rowReading.ts'
import type { WhoIsWho } from './whoIsWho.ts'

const NAME_MOST = 80
const NUMBER_MOST = 20

const SEXES: Readonly<Record<string, Sex>> = {
  m: 'male',
  male: 'male',
  '♂': 'male',
  '1.0': 'male',
  f: 'female',
  female: 'female',
  '♀': 'female',
  '0.1': 'female',
  u: 'unknown',
  unknown: 'unknown',
  '?': 'unknown',
  '0.0.1': 'unknown',
}

const ORIGINS: Readonly<Record<string, Origin>> = {
  'born here': 'bornHere',
  cb: 'captive',
  'captive bred': 'captive',
  captive: 'captive',
  bred: 'captive',
  wc: 'wild',
  wild: 'wild',
  'wild caught': 'wild',
  unknown: 'unknown',
  '?': 'unknown',
}

/** What a column of origins says in one word; the name of a person or a shop is none. */
export function originOf(text: string): Origin | undefined {
  return ORIGINS[plain(text)]
}

/** Sheets by every name they go by. */
export function sheetsByName(sheets: readonly Sheet[]): ReadonlyMap<string, Sheet> {
  return new Map(
    sheets.flatMap((sheet) =>
      [sheet.id, sheet.common, sheet.latin, ...sheet.otherNames].map((name) => [plain(name), sheet] as const),
    ),
  )
}

function stageOf(sheet: Sheet, reading: RowReading): string {
  const { stage, species } = reading.cells
  const stages = sheet.stages.map(({ name }) => name)
  if (!stage) {
    const only = sheet.stages.length === 1 ? sheet.stages[0] : undefined
    if (!only) reading.wrong(species?.at, { code: 'whichStage', stages })
    return only?.id ?? ''
  }
  const found = sheet.stages.find(({ id, name }) => [plain(id), plain(name)].includes(plain(stage.text)))
  if (!found) reading.wrong(stage.at, { code: 'unknownStage', said: stage.text, stages })
  return found?.id ?? ''
}

function calledIn(reading: RowReading): string {
  const { name, number } = reading.cells
  if (!name && !number) reading.wrong(null, { code: 'saysNoWho' })
  if (name && name.text.length > NAME_MOST) reading.wrong(name.at, { code: 'tooLong', most: NAME_MOST })
  if (number && number.text.length > NUMBER_MOST)
    reading.wrong(number.at, { code: 'tooLong', most: NUMBER_MOST })
  return name?.text ?? number?.text ?? ''
}

/** The identity of the animal a row puts on record: the same whenever it is brought in. */
export function newcomerId({ cells: { number, name } }: RowReading, sheet: Sheet, house: House): string {
  const key = number ? `number ${plain(number.text)}` : `name ${plain(name?.text ?? '')} ${sheet.id}`
  return house.idOf(`resident ${key}`)
}

/** Puts the animal of a row on record. Who stands on a list is here already: it is cared for from the day the list
 * comes in, and has settled in since it came. */
export function newcomerIn(
  reading: RowReading,
  { house, who, sheet, now }: { house: House; who: WhoIsWho; sheet: Sheet; now: RowMoment },
): KnownResident {
  const { number, origin, count, sex, hatched, arrived } = reading.cells
  const name = calledIn(reading)
  const isColony = sheet.lives === 'colony'
  const counted = isColony ? reading.number(count) : null
  if (isColony && !count) reading.wrong(null, { code: 'noCount' })
  const hatchedOn = reading.moment(hatched)?.day ?? null
  const stage = stageOf(sheet, reading)
  const enclosure = who.boxFor(reading)
  const id = newcomerId(reading, sheet, house)
  const say = reading.saysOf(id, now)
  say('registered', {
    name,
    ...(number && { number: number.text }),
    sheet: sheet.id,
    stage,
    count: counted ? Math.round(counted.value) : null,
    colony: isColony,
    sex: isColony ? 'unknown' : (reading.word(sex, SEXES) ?? 'unknown'),
    hatchedOn,
    barrier: null,
    schools: {},
  })
  const source = origin && originOf(origin.text) === undefined ? { source: origin.text } : {}
  say('arrived', { enclosure, ...source, hereSince: reading.moment(arrived)?.day ?? null })
  const one = { id, number: number?.text ?? '', name, sheet: sheet.id, stage, place: enclosure || null }
  who.know(one)
  return one
}
