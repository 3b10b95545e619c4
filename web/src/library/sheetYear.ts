import type { Sheet } from '@kobrin/core'
import { COOLED_ON, isoDay } from '@kobrin/core'
import { t } from './words.ts'

/** A stretch of the year in days from 1 January, 0–365; what goes over the new year is in two. */
export interface Spell {
  kind: 'fast' | 'rest' | 'season'
  name: string
  from: number
  to: number
}

export interface SheetYear {
  /** Hours of light in the middle of each month. */
  light: number[] | null
  spells: Spell[]
}

const DAYS = 365
const MONTH_STARTS = [0, 31, 59, 90, 120, 151, 181, 212, 243, 273, 304, 334]

function dayOfYear(date: string): number {
  const [month = 1, day = 1] = date.split('-').map(Number)
  return (MONTH_STARTS[month - 1] ?? 0) + day - 1
}

/** The day of the year on which a winter rest begins. */
const COOLED = dayOfYear(isoDay(COOLED_ON).slice(5))

/** In two where it goes over the new year. */
function wrapped(spell: Spell): Spell[] {
  const length = spell.to - spell.from + (spell.to < spell.from ? DAYS : 0)
  const from = (spell.from + DAYS) % DAYS
  const to = from + length
  if (to <= DAYS) return [{ ...spell, from, to }]
  return [
    { ...spell, from, to: DAYS },
    { ...spell, from: 0, to: to - DAYS },
  ]
}

function middle([low, high]: readonly [number, number]): number {
  return (low + high) / 2
}

/** Day length follows the sun between the winter's and the summer's hours. */
function lightOf({ light }: Sheet): number[] | null {
  if (!light?.hours) return null
  const summer = middle(light.hours)
  const winter = light.winterHours ? middle(light.winterHours) : summer
  return MONTH_STARTS.map((_, month) => {
    const share = (1 - Math.cos(((month + 0.5) / 12) * 2 * Math.PI)) / 2
    return winter + (summer - winter) * share
  })
}

function restsOf({ schools, holds }: Sheet): Spell[] {
  const days = holds.find(({ hold }) => hold === 'winterRest')?.days
  const options = schools.flatMap(({ options: sides }) => sides)
  return options.flatMap(({ rest, name }) => {
    if (!rest || days === undefined) return []
    const fast = { kind: 'fast', name: t('fast'), from: COOLED - rest.fastDays, to: COOLED } as const
    const cooled = {
      kind: 'rest',
      name: t('winterRest', { name }),
      from: COOLED,
      to: COOLED + days,
    } as const
    return [...(rest.fastDays > 0 ? wrapped(fast) : []), ...wrapped(cooled)]
  })
}

function seasonsOf({ schools }: Sheet): Spell[] {
  return schools.flatMap(({ options }) =>
    options.flatMap(({ season, name }) =>
      season
        ? wrapped({ kind: 'season', name, from: dayOfYear(season.from), to: dayOfYear(season.until) + 1 })
        : [],
    ),
  )
}

/** The year of a species in a house in the north: light, a fast and a rest where one of the sides has them, and what
 * has its season. Null where every day is like the other. */
export function sheetYear(sheet: Sheet): SheetYear | null {
  const light = lightOf(sheet)
  const spells = [...restsOf(sheet), ...seasonsOf(sheet)]
  const changes = light && new Set(light.map((hours) => hours.toFixed(2))).size > 1
  return spells.length > 0 || changes ? { light: changes ? light : null, spells } : null
}
