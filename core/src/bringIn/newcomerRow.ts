import type { Origin } from '../facts/residents/identity.ts'
import type { Sex } from '../facts/residents/register.ts'
import type { Sheet } from '../plans/sheet/sheet.ts'
import { EACH } from './answers.ts'
import type { KnownResident } from './house.ts'
import { plain } from './house.ts'
import type { ManyWritten, Sexes } from './cells/manyWritten.ts'
import { readMany, readSexes, sexesTotal } from './cells/manyWritten.ts'
import { idOf } from './rowReading.ts'
import type { RowReading } from './rowReading.ts'
import { stageOf } from './stageWritten.ts'
import type { WhoIsWho } from './whoIsWho.ts'

const NAME_MOST = 80
const NUMBER_MOST = 20
/** More in one row is a slip, or a colony. */
const EACH_MOST = 60

const ORIGINS: Readonly<Record<string, Origin>> = {
  'born here': 'bornHere',
  'bred here': 'bornHere',
  cb: 'captive',
  cbb: 'captive',
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

function calledIn(reading: RowReading): string {
  const [name, number] = [reading.first('name'), reading.first('number')]
  if (!name && !number) reading.wrong('name', { code: 'saysNoWho' })
  if (name && name.text.length > NAME_MOST) reading.wrong(name, { code: 'tooLong', most: NAME_MOST })
  if (number && number.text.length > NUMBER_MOST)
    reading.wrong(number, { code: 'tooLong', most: NUMBER_MOST })
  return name?.text ?? number?.text ?? ''
}

/** The identity of the animal a row puts on record: the same whenever it is brought in. */
export function newcomerId(reading: RowReading, sheet: Sheet): string {
  const [number, name] = [reading.first('number'), reading.first('name')]
  const key = number ? `number ${plain(number.text)}` : `name ${plain(name?.text ?? '')} ${sheet.id}`
  return idOf(`resident ${key}`)
}

function sexesIn(reading: RowReading): Sexes | null {
  const cell = reading.first('sex')
  const sexes = cell && readSexes(cell.text)
  if (cell && !sexes) reading.wrong(cell, { code: 'unknownWord', said: cell.text })
  return sexes ?? null
}

function manyIn(reading: RowReading, sheet?: Sheet): ManyWritten | null {
  const cell = reading.first('count')
  if (!cell) {
    const answered = sheet && reading.context.answerTo('count', '', sheet.id)
    const many = answered ? readMany(answered, '.') : null
    return many === 'unsure' ? null : many
  }
  const many = readMany(cell.text, cell.column.decimal ?? null)
  if (many === 'unsure') reading.wrong(cell, { code: 'signUnsaid', said: cell.text })
  else if (many === null) reading.wrong(cell, { code: 'notCount', said: cell.text })
  else return many
  return null
}

/** Of how many animals a row speaks: a colony of so many, one, or several that are kept one by one. */
interface HowManyHere {
  sexes: Sexes | null
  colony: ManyWritten | null
  /** One for each record. */
  each: Sex[]
}

function sexOf(sexes: Sexes | null): Sex {
  return sexes?.male ? 'male' : sexes?.female ? 'female' : 'unknown'
}

function howManyIn(reading: RowReading, sheet: Sheet): HowManyHere {
  const sexes = sexesIn(reading)
  const many = manyIn(reading, sheet)
  if (sheet.lives === 'colony') {
    const total = sexes ? sexesTotal(sexes) : 0
    const bySex = total > 1 && sexes ? { count: total, about: sexes.unsure } : null
    if (!reading.first('count') && !many && !bySex)
      reading.wrong('count', { code: 'noCount', sheet: sheet.id })
    return { sexes, colony: many ?? bySex ?? { count: null, about: true }, each: [] }
  }
  const count = Math.max(many?.count ?? 1, sexes ? sexesTotal(sexes) : 1, 1)
  if (count === 1) return { sexes, colony: null, each: [sexOf(sexes)] }
  const { male, female } = sexes ?? { male: 0, female: 0 }
  const cell = reading.first('count') ?? reading.first('sex') ?? 'count'
  const answer = reading.context.answerTo('count', String(count), sheet.id)
  if (answer !== EACH || count > EACH_MOST)
    reading.wrong(cell, {
      code: 'several',
      said: typeof cell === 'string' ? '' : cell.text,
      count,
      sheet: sheet.id,
    })
  return {
    sexes,
    colony: null,
    each: Array.from({ length: Math.min(count, EACH_MOST) }, (_, at) =>
      at < male ? 'male' : at < male + female ? 'female' : 'unknown',
    ),
  }
}

/** Puts who a row is about on record: one animal or colony, or each of several. Who stands on a list is here already: it
 * is cared for from the day the list comes in, and has settled in since it came. */
export function newcomersIn(
  reading: RowReading,
  { who, sheet }: { who: WhoIsWho; sheet: Sheet },
): KnownResident[] {
  const { house } = reading.context
  const [number, origin] = [reading.first('number'), reading.first('origin')]
  const name = calledIn(reading)
  const { sexes, colony, each } = howManyIn(reading, sheet)
  const hatched = reading.when(reading.first('hatched'))
  const arrived = reading.when(reading.first('arrived'))
  const stage = stageOf(sheet, reading, hatched?.day ?? null)
  const enclosure = who.boxFor(reading)
  const source = origin && originOf(origin.text) === undefined ? { source: origin.text } : {}
  const first = newcomerId(reading, sheet)
  const several = each.length > 1
  return (colony ? ['unknown' as const] : each).map((sex, at) => {
    const id = several ? idOf(`${first} ${at + 1}`) : first
    const called = several ? `${name} ${at + 1}`.slice(0, NAME_MOST) : name
    const numbered = number && (several ? `${number.text}-${at + 1}` : number.text)
    const say = reading.saysOf(id, { moment: house.now, dated: false })
    say('registered', {
      name: called,
      ...(numbered && { number: numbered }),
      sheet: sheet.id,
      stage,
      count: colony?.count ?? null,
      ...(colony?.count != null && colony.about && { countAbout: true }),
      colony: colony !== null,
      sex,
      ...(!several && sexes?.unsure && sex !== 'unknown' && { sexUnsure: true }),
      hatchedOn: hatched?.day ?? null,
      ...(hatched && hatched.to !== 'day' && { hatchedTo: hatched.to }),
      barrier: null,
      schools: {},
    })
    say('arrived', {
      enclosure,
      ...source,
      hereSince: arrived?.day ?? null,
      ...(arrived && arrived.to !== 'day' && { hereTo: arrived.to }),
    })
    const one = {
      id,
      number: numbered ?? '',
      name: called,
      sheet: sheet.id,
      stage,
      place: enclosure || null,
    }
    who.know(one)
    return one
  })
}

/** What else is wrong with a row of which nobody knows yet of which species it is. */
export function newcomerDoubted(reading: RowReading, who: WhoIsWho): void {
  calledIn(reading)
  sexesIn(reading)
  manyIn(reading)
  reading.when(reading.first('hatched'))
  reading.when(reading.first('arrived'))
  who.boxFor(reading)
}
