import { appendFile } from 'node:fs/promises'
import { join } from 'node:path'
import { FORMULA } from '@kobrin/contract'
import type { Fact, FactKind, ResidentState } from '@kobrin/core'
import { cameOn, civil, countOf, FACT_KINDS, isoDay, kindOf } from '@kobrin/core'
import papaparse from 'papaparse'
import { z } from 'zod'
import type { Furnishing } from './rows.ts'

type Cell = string | number | boolean | null | undefined

const MINUTES = 60
/** Text waits for so much before it is written to the disk. */
const BUFFERED = 256 * 1024

/** Lines of a table for a spreadsheet; what would be taken for a formula there is marked as text. */
function csv(rows: Cell[][]): string {
  return `${papaparse.unparse(rows, { escapeFormulae: FORMULA })}\r\n`
}

/** What a JSON Schema says of an object. */
interface ObjectSchema {
  type?: string
  properties?: Record<string, ObjectSchema>
}

/** The columns of what a kind of fact says: a path for every value that is not made of others. */
function pathsIn({ properties = {} }: ObjectSchema, before: string[] = []): string[][] {
  return Object.entries(properties).flatMap(([name, schema]) => {
    const path = [...before, name]
    return schema.type === 'object' && schema.properties ? pathsIn(schema, path) : [path]
  })
}

/** Worked out when something is taken out: a server that begins does not wait for it. */
function columnsByKind(): ReadonlyMap<FactKind, string[][]> {
  return new Map(
    FACT_KINDS.map((kind) => [
      kind,
      pathsIn(z.toJSONSchema(kindOf(kind).payload, { unrepresentable: 'any', io: 'input' }) as ObjectSchema),
    ]),
  )
}

function at(value: unknown, path: readonly string[]): Cell {
  let found = value
  for (const name of path)
    found = typeof found === 'object' && found !== null ? Reflect.get(found, name) : undefined
  if (typeof found === 'object' && found !== null) return JSON.stringify(found)
  return found as Cell
}

/** The civil day and clock of a moment. */
function clock(instant: string, zone: string): [day: string, time: string] {
  const { day, minute } = civil(Date.parse(instant), zone)
  const hours = String(Math.floor(minute / MINUTES)).padStart(2, '0')
  return [isoDay(day), `${hours}:${String(minute % MINUTES).padStart(2, '0')}`]
}

const ABOUT = ['day', 'time', 'number', 'name', 'by']
const IDENTITY = ['written', 'subject', 'uid']

/** How somebody reads what is on record by its identities: residents by number and name, boxes by where they stand. */
function names({ rooms, bays, boxes, numbers, people }: Furnishing) {
  const numberOf = new Map(numbers.map(({ resident, number }) => [resident, number]))
  const nameOf = new Map(people.map(({ id, name }) => [id, name]))
  for (const { id, name } of rooms) nameOf.set(id, name)
  for (const { id, name, roomId } of bays) nameOf.set(id, `${nameOf.get(roomId) ?? ''}, ${name}`)
  for (const { id, bayId, row, column } of boxes)
    nameOf.set(id, `${nameOf.get(bayId) ?? ''}, ${row + 1}/${column + 1}`)
  return { numberOf, nameOf }
}

const RESIDENT_COLUMNS = [
  'number',
  'name',
  'species',
  'latin',
  'stage',
  'sex',
  'count',
  'hatched',
  'arrived',
  'place',
  'out',
  'how',
  'grams',
  'subject',
]

export interface Tables {
  /** The facts of one subject that count, and what they add up to where it is a resident. */
  take: (facts: readonly Fact[], resident: ResidentState | null) => Promise<void>
  /** Writes what is left; answers the files that have anything in them, by name. */
  finish: () => Promise<{ name: string; path: string }[]>
}

/** A table of the residents, and one for each kind of fact with what was corrected as it stands now and without
 * what was taken back, written to a folder as they come. */
export function createTables(folder: string, furnishing: Furnishing): Tables {
  const { zone } = furnishing.house
  const { numberOf, nameOf } = names(furnishing)
  const sheets = new Map(furnishing.sheets.map((sheet) => [sheet.id, sheet]))
  const columns = columnsByKind()
  const waiting = new Map<string, string>()
  const begun = new Set<string>()

  async function flush(name: string): Promise<void> {
    await appendFile(join(folder, name), waiting.get(name) ?? '')
    waiting.set(name, '')
  }

  async function add(name: string, head: string[], rows: Cell[][]): Promise<void> {
    if (rows.length === 0) return
    const text = (waiting.get(name) ?? '') + csv(begun.has(name) ? rows : [head, ...rows])
    begun.add(name)
    waiting.set(name, text)
    if (text.length > BUFFERED) await flush(name)
  }

  function rowOf(fact: Fact): Cell[] {
    const written = fact.writtenAt === undefined ? '' : clock(fact.writtenAt, zone).join(' ')
    return [
      ...clock(fact.occurredAt, zone),
      numberOf.get(fact.subject),
      nameOf.get(fact.subject),
      nameOf.get(fact.author),
      ...(columns.get(fact.kind) ?? []).map((path) => at(fact.payload, path)),
      written,
      fact.subject,
      fact.uid,
    ]
  }

  function residentRow(subject: string, { register, stay, count, growth }: ResidentState): Cell[] {
    const sheet = sheets.get(register?.sheet ?? '')
    const came = cameOn(stay)
    return [
      numberOf.get(subject),
      register?.name,
      sheet?.common,
      sheet?.latin,
      register?.stage,
      register?.sex,
      countOf({ count }),
      register && register.hatchedOn !== null ? isoDay(register.hatchedOn) : null,
      came === null ? null : isoDay(came),
      nameOf.get(stay.place?.enclosure ?? ''),
      stay.ended && isoDay(stay.ended.day),
      stay.ended && (stay.ended.as ?? stay.ended.how),
      growth.weights.at(-1)?.grams,
      subject,
    ]
  }

  return {
    async take(facts, resident) {
      const [first] = facts
      if (first === undefined) return
      if (resident?.register) {
        nameOf.set(first.subject, resident.register.name)
        await add('residents.csv', RESIDENT_COLUMNS, [residentRow(first.subject, resident)])
      }
      for (const kind of new Set(facts.map((fact) => fact.kind))) {
        const head = [...ABOUT, ...(columns.get(kind) ?? []).map((path) => path.join('.')), ...IDENTITY]
        await add(`${kind}.csv`, head, facts.filter((fact) => fact.kind === kind).map(rowOf))
      }
    },
    async finish() {
      for (const name of begun) await flush(name)
      return [...begun].sort().map((name) => ({ name, path: join(folder, name) }))
    },
  }
}
