import * as z from 'zod/mini'
import { ASKABLE } from '../plausible/askable.ts'
import { SheetGroup } from './group.ts'
import { Sheet } from './sheet.ts'

/** What anybody can say of an animal that has no sheet yet. */
export const PlainSheet = z.strictObject({
  common: z.string().check(z.trim(), z.minLength(1), z.maxLength(80)),
  latin: z.string().check(z.trim(), z.maxLength(80)),
  group: SheetGroup,
  lives: z.enum(['individual', 'colony']),
  /** Days from one meal, one fresh water, one look to the next. */
  feedEvery: z.number().check(z.minimum(0.5), z.maximum(60)),
  food: z.string().check(z.trim(), z.minLength(1), z.maxLength(60)),
  waterEvery: z.number().check(z.minimum(0.5), z.maximum(30)),
  lookEvery: z.number().check(z.minimum(0.5), z.maximum(14)),
})
export type PlainSheet = z.infer<typeof PlainSheet>

/** A name of its own for a sheet, from what it is called; unlike those there are. */
export function sheetIdFor(name: string, taken: ReadonlySet<string>): string {
  const words = name
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/gu, '-')
    .replace(/^[^a-z]+|-+$/gu, '')
    .slice(0, 50)
  const id = words === '' ? 'sheet' : words
  if (!taken.has(id)) return id
  return sheetIdFor(`${id.replace(/-\d+$/u, '')}-${Number(/-(\d+)$/u.exec(id)?.[1] ?? 1) + 1}`, taken)
}

/** The cautions that most sheets of a group give: none of another group is taken over. */
function cautionsOf(group: SheetGroup, sheets: readonly Sheet[]): string[] {
  const own = sheets.filter((sheet) => sheet.group === group && !sheet.unread)
  const given = new Map<string, number>()
  for (const caution of own.flatMap(({ cautions }) => [...new Set(cautions)]))
    given.set(caution, (given.get(caution) ?? 0) + 1)
  return [...given].flatMap(([caution, many]) => (many * 2 > own.length ? [caution] : []))
}

/** A sheet of what little is known of a species: fed, watered and looked at, with the cautions of its group and the longest
 * quarantine that any of it is kept apart for at least. Nobody has read it against a source, and it says so. */
export function plainSheet(said: PlainSheet, sheets: readonly Sheet[]): Sheet {
  const { common, latin, group, lives, feedEvery, food, waterEvery, lookEvery } = said
  // What is due every few days may be done a little earlier or later.
  const every = (days: number) => ({
    type: 'every',
    days,
    tolerance: days < 3 ? 0 : Math.max(1, Math.floor(days / 4)),
  })
  return Sheet.parse({
    id: sheetIdFor(common, new Set(sheets.map(({ id }) => id))),
    common,
    latin: latin === '' ? common : latin,
    group,
    lives,
    unread: {},
    cautions: cautionsOf(group, sheets),
    quarantineDays: ASKABLE[group].quarantine,
    stages: [
      {
        id: 'any',
        name: 'Any age',
        duties: [
          { id: 'feed', does: 'feed', label: food, cadence: every(feedEvery), foods: [{ item: food }] },
          { id: 'water', does: 'water', cadence: every(waterEvery) },
          { id: 'look', does: 'look', cadence: every(lookEvery) },
        ],
      },
    ],
    sources: ['written down here in a few words'],
  })
}

/** A sheet after another one, for a species of its own name: what differs is changed in it afterwards. Nobody has read it
 * against a source, and it says so. */
export function sheetLike(
  other: Sheet,
  { common, latin }: Pick<PlainSheet, 'common' | 'latin'>,
  sheets: readonly Sheet[],
): Sheet {
  const { otherNames: _names, alsoCalled: _called, ...rest } = other
  return Sheet.parse({
    ...rest,
    id: sheetIdFor(common, new Set(sheets.map(({ id }) => id))),
    common,
    latin: latin === '' ? common : latin,
    unread: { like: other.id },
    sources: [`like ${other.common}, taken over here`],
  })
}
