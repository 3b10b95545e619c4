import { createInterface } from 'node:readline'
import { buffer as wholeBuffer, text as wholeText } from 'node:stream/consumers'
import type { Bookmark, GivenCode } from '@kobrin/contract'
import { advanced, furthest, sayBookmark } from '@kobrin/contract'
import type { Entry, FamilyName } from '@kobrin/core'
import { civil, effectiveFacts, emptyState, isAmendment, kindOf, replay } from '@kobrin/core'
import { and, eq } from 'drizzle-orm'
import { v7 as uuidv7 } from 'uuid'
import type { Entry as ZipEntry, ZipFile } from 'yauzl'
import yauzl from 'yauzl'
import type { z } from 'zod'
import { change } from '../changes/tables.ts'
import type { Database, Transaction } from '../database/connect.ts'
import { inChunks } from '../database/inChunks.ts'
import { insertEntries } from '../entries/insertRows.ts'
import { foldHearers } from '../entries/rebuild.ts'
import { closedAtOf } from '../entries/storedFold.ts'
import { subject, touch } from '../entries/tables.ts'
import { touchRows } from '../entries/touchRows.ts'
import { KobrinFault } from '../errors/fault.ts'
import { sheetVersion } from '../library/tables.ts'
import { giveCode } from '../people/commands.ts'
import { staff } from '../people/tables.ts'
import type { PhotoSource } from '../photos/carry.ts'
import { carryPhotos } from '../photos/carry.ts'
import { photo } from '../photos/tables.ts'
import { requireEmpty } from '../setup/requireEmpty.ts'
import { bayRow, boxRow, residentRow, roomRow } from '../site/placeRows.ts'
import * as site from '../site/tables.ts'
import { createOwnStream } from '../streams/ownStream.ts'
import { stream } from '../streams/tables.ts'
import type { Line, LinesOf, TakenEntry } from './format.ts'
import { fileOf, HOUSE_FILE, LINES, photoFile, TakenHouse } from './format.ts'

const ROWS = 2000
/** Anybody's from the first moment on. */
const LONG_AGO = '2000-01-01T00:00:00.000Z'

function damaged(why: string, cause?: unknown): KobrinFault {
  return new KobrinFault('export_damaged', `This is nothing that Kobrin took out: ${why}.`, { cause })
}

/** Reads one value of the file as its schema says. Throws KobrinFault with the line and what is wrong in it. */
function readAs<T>(schema: z.ZodType<T> | z.core.$ZodType<T>, text: string, where: string): T {
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch (cause) {
    throw damaged(`${where} is no JSON`, cause)
  }
  const result = (schema as z.ZodType<T>).safeParse(value)
  // As it was written: a shape made again may say the same in another order.
  if (result.success) return value as T
  const [issue] = result.error.issues
  throw damaged(`${where}, ${issue?.path.join('.') ?? ''}: ${issue?.message ?? ''}`, result.error)
}

/** A file that was taken out, by the names of what is in it. */
async function opened(file: string): Promise<{ zip: ZipFile; parts: Map<string, ZipEntry> }> {
  let zip: ZipFile
  try {
    zip = await yauzl.openPromise(file, { autoClose: false })
  } catch (cause) {
    throw damaged('it is no zip file, or was cut short', cause)
  }
  const parts = new Map<string, ZipEntry>()
  for await (const entry of zip.eachEntry()) parts.set(entry.fileName, entry)
  return { zip, parts }
}

type Opened = Awaited<ReturnType<typeof opened>>

async function streamOf({ zip, parts }: Opened, name: string) {
  const part = parts.get(name)
  if (!part) throw damaged(`${name} is missing`)
  return zip.openReadStreamPromise(part)
}

async function* linesIn<K extends LinesOf>(from: Opened, lines: K): AsyncGenerator<Line<K>> {
  const name = fileOf(lines)
  let number = 0
  for await (const text of createInterface({ input: await streamOf(from, name) })) {
    number += 1
    if (text !== '')
      yield readAs(LINES[lines] as unknown as z.ZodType<Line<K>>, text, `${name}, line ${number}`)
  }
}

async function allOf<K extends LinesOf>(from: Opened, lines: K): Promise<Line<K>[]> {
  const all: Line<K>[] = []
  for await (const line of linesIn(from, lines)) all.push(line)
  return all
}

/** The rows of a table from what the file says, in the order of the file. */
async function moved<K extends LinesOf>(
  from: Opened,
  lines: K,
  insert: (some: Line<K>[]) => Promise<unknown>,
): Promise<Line<K>[]> {
  const all = await allOf(from, lines)
  await inChunks(all, ROWS, insert)
  return all
}

/** Building, people, sheets and plans. Answers the places. */
async function furnish(tx: Transaction, from: Opened, house: TakenHouse): Promise<string[]> {
  const { name, zone, units, hemisphere, schools, numbering } = house
  await tx.insert(site.site).values({ id: 1, name, zone, units, schools, ...(hemisphere && { hemisphere }) })
  await tx.update(site.numbering).set(numbering)
  // An empty record has the sheets that came with it.
  for (const table of [sheetVersion, site.sheet, change, stream]) await tx.delete(table)
  await moved(from, 'people', (some) => tx.insert(staff).values(some))
  const rooms = await moved(from, 'rooms', (some) => tx.insert(site.room).values(some.map(roomRow)))
  const bays = await moved(from, 'bays', (some) => tx.insert(site.bay).values(some.map(bayRow)))
  const boxes = await moved(from, 'boxes', (some) => tx.insert(site.enclosure).values(some.map(boxRow)))
  await moved(from, 'pastBays', (some) =>
    tx.insert(site.bayPast).values(some.map(({ bay, ...past }) => ({ ...past, bayId: bay }))),
  )
  await moved(from, 'photos', (some) => tx.insert(photo).values(some))
  await moved(from, 'sheets', (some) =>
    tx.insert(site.sheet).values(some.map((doc) => ({ id: doc.id, doc }))),
  )
  await moved(from, 'sheetVersions', (some) =>
    tx
      .insert(sheetVersion)
      .values(
        some.map(({ sheet, by, at, ...row }) => ({ ...row, sheetId: sheet, authorId: by, madeAt: at })),
      ),
  )
  await moved(from, 'overrides', (some) => tx.insert(site.planOverride).values(some))
  return [...rooms, ...bays, ...boxes].map(({ id }) => id)
}

function familyIn(history: readonly Entry[]): FamilyName {
  const fact = history.find((entry) => !isAmendment(entry))
  if (!fact || isAmendment(fact)) throw damaged('something is amended that was never said')
  return kindOf(fact.kind).family
}

/** The last place of each stream. */
function lastPlaces(places: readonly { stream: number; seq: number }[]): Bookmark {
  return places.reduce<Bookmark>(advanced, {})
}

/** Keeps the history of one subject with what it adds up to. */
async function keepHistory(
  tx: Transaction,
  id: string,
  lines: readonly TakenEntry[],
  numbers: ReadonlyMap<string, string>,
): Promise<void> {
  const history = lines.map(({ entry }) => entry)
  const family = familyIn(history)
  await insertEntries(
    tx,
    lines.map((line) => ({ ...line, family })),
  )
  const state = replay(family, history)
  const upTo = sayBookmark(lastPlaces(lines))
  await tx
    .insert(subject)
    .values({ id, family, version: 1, upTo, state, closedAt: closedAtOf(family, state) })
  const touches = effectiveFacts(history).flatMap(touchRows)
  await inChunks(touches, ROWS, (some) => tx.insert(touch).values(some))
  if (!('register' in state) || !state.register) return
  const accession = numbers.get(id)
  if (accession === undefined) throw damaged(`${state.register.name} has no number`)
  await tx.insert(site.resident).values(residentRow(id, accession, state.register))
}

/** Keeps every history. Answers the last place of each stream, and the subjects. */
async function keepHistories(tx: Transaction, from: Opened) {
  const numbers = new Map((await allOf(from, 'numbers')).map(({ resident, number }) => [resident, number]))
  const begun = new Set<string>()
  let last: Bookmark = {}
  let history: TakenEntry[] = []
  const close = async () => {
    const [first] = history
    if (!first) return
    const { subject: id } = first.entry
    if (begun.has(id)) throw damaged(`the entries about ${id} do not follow on each other`)
    begun.add(id)
    await keepHistory(tx, id, history, numbers)
    last = furthest(last, lastPlaces(history))
    history = []
  }
  for await (const line of linesIn(from, 'entries')) {
    if (history[0] && history[0].entry.subject !== line.entry.subject) await close()
    history.push(line)
  }
  await close()
  return { begun, last }
}

/** Folds of the places about which nothing was said yet. */
async function keepSilent(tx: Transaction, places: readonly string[]): Promise<void> {
  const nothing = { family: 'place', version: 0, upTo: '', state: emptyState('place') } as const
  await inChunks(places, ROWS, (some) => tx.insert(subject).values(some.map((id) => ({ id, ...nothing }))))
}

/** The streams go on where they ended, by the servers that claim them. */
async function keepStreams(tx: Transaction, ends: Bookmark): Promise<void> {
  const rows = Object.entries(ends).map(([id, seq]) => ({
    id: Number(id),
    holder: uuidv7(),
    heldUntil: LONG_AGO,
    seq,
  }))
  await inChunks(rows, ROWS, (some) => tx.insert(stream).values(some))
}

/** Brings the pictures to where they lie here, before the record that speaks of them. Answers those that are missing,
 * or are not what they were. */
async function unpackPhotos(from: Opened, folder: string): Promise<string[]> {
  const hashes = new Set((await allOf(from, 'photos')).map(({ hash }) => hash))
  const packed: PhotoSource = async (hash, size) => {
    const name = photoFile(hash, size)
    return from.parts.has(name) ? wholeBuffer(await streamOf(from, name)) : null
  }
  return carryPhotos(hashes, packed, folder)
}

/** A code for each curator. */
async function codesFor(db: Database, zone: string, now: Date): Promise<(GivenCode & { login: string })[]> {
  const curators = await db
    .select({ id: staff.id, login: staff.login })
    .from(staff)
    .where(and(eq(staff.role, 'curator'), eq(staff.active, true)))
  const own = createOwnStream(db)
  const { day } = civil(now.getTime(), zone)
  try {
    const codes = []
    for (const { id, login } of curators) {
      const by = { db, stream: own, author: { by: id, at: now.toISOString(), day } }
      codes.push({ ...(await giveCode(by, id)), login })
    }
    return codes
  } finally {
    await own.close()
  }
}

/** Makes a house again of what was taken out, in an empty record: all of it or nothing. Nobody can come in yet but
 * with the codes it answers, one for each curator. Throws KobrinFault `export_damaged`, `not_empty`. */
export async function moveIn(db: Database, file: string, now: Date, photos: string | null = null) {
  const from = await opened(file)
  try {
    const house = readAs(TakenHouse, await wholeText(await streamOf(from, HOUSE_FILE)), HOUSE_FILE)
    await requireEmpty(db)
    const missing = photos === null ? [] : await unpackPhotos(from, photos)
    await db.transaction(async (tx) => {
      const places = await furnish(tx, from, house)
      const { begun, last } = await keepHistories(tx, from)
      await keepSilent(
        tx,
        places.filter((id) => !begun.has(id)),
      )
      await foldHearers(tx)
      const changes = await moved(from, 'changes', (some) => tx.insert(change).values(some))
      await keepStreams(tx, furthest(last, lastPlaces(changes)))
    })
    return {
      name: house.name,
      at: house.at,
      codes: await codesFor(db, house.zone, now),
      missing: missing.length,
    }
  } finally {
    from.zip.close()
  }
}
