import type { FloorRule, Housing, Light, Measured, SheetGroup, ZoneTarget } from '@kobrin/core'
import { sayRange } from './numbers.ts'
import { words } from './en.ts'
import { terms } from './terms.ts'

/** Words of sheets, plans and enclosures: nothing of the walk waits for these. */
export const care = {
  group: {
    snake: 'Snakes',
    lizard: 'Lizards',
    tortoise: 'Tortoises',
    frog: 'Frogs and toads',
    salamander: 'Salamanders',
    tarantula: 'Tarantulas',
    scorpion: 'Scorpions',
    whipSpider: 'Whip spiders',
    vinegaroon: 'Vinegaroons',
    millipede: 'Millipedes',
    mantid: 'Mantids',
    stickInsect: 'Stick and leaf insects',
    cockroach: 'Cockroaches',
    beetle: 'Beetles',
    butterfly: 'Butterflies',
    snail: 'Snails',
    ant: 'Ants',
    isopod: 'Isopods',
    springtail: 'Springtails',
    feeder: 'Feeder animals',
    fish: 'Fish',
  } satisfies Record<SheetGroup, string>,
  measures: {
    air: 'air',
    surface: 'surface',
    floor: 'floor',
    water: 'water',
    nest: 'nest',
  } satisfies Record<Measured, string>,
  /** Parts of a sheet, by the field of what is unsure. */
  sheetPart: {
    adult: 'Grown',
    breeding: 'Young',
    ecdysis: 'Sheds and molts',
    growth: 'Growth',
    heldFloor: 'Old floor',
    holds: 'Leave in peace',
    housing: 'Enclosure',
    light: 'Light',
    quarantineDays: 'Quarantine',
    schools: 'Schools',
    signs: 'Health signs',
    targets: 'Climate',
    together: 'Company',
    water: 'Water',
  } as Readonly<Record<string, string>>,
  together: { alone: 'Alone', pairs: 'In pairs', groups: 'In groups', colony: 'As a colony' },
  bears: { eggs: 'Lays eggs', young: 'Bears young', splits: 'Is split' },
  furniture: {
    hide: 'Hide',
    dampHide: 'Damp hide',
    climbing: 'To climb',
    perch: 'Perch',
    bowl: 'Water bowl',
    plant: 'Plant',
    other: 'Other',
  },
  lamp: { uvb: 'Ultraviolet', day: 'Daylight', basking: 'Basking' },
  housing: {
    lengthMm: 'Length',
    depthMm: 'Depth',
    heightMm: 'Height',
    times: 'Grows with it',
    floorPerAnimalCm2: 'Floor for each',
    litresPerAnimal: 'Room for each',
    fall: 'At most above its floor',
    floorDepthMm: 'Depth of floor',
    freeBelowPerch: 'Free below the perch',
    notLarger: 'Not larger than',
    hides: 'Hides',
    lock: 'Lock',
    meshMm: 'Mesh',
    climbing: 'To climb',
    bowl: 'Water bowl',
    crew: 'Clean-up crew',
  } satisfies Record<keyof Housing, string> as Readonly<Record<string, string>>,
  light: { hours: 'Light', winterHours: 'Light in winter' } satisfies Partial<Record<keyof Light, string>>,
  trusted: 'Local law, the vet and the poison centre come before anything written here.',
} as const

function range(value: unknown, unit: string): string {
  return Array.isArray(value) ? `${value.join('–')} ${unit}` : `${String(value)} ${unit}`
}

/** A range with its unit; one number where both ends are the same. */
export function span(values: readonly number[] | undefined, unit: string): string | null {
  if (!values) return null
  const [low = 0, high = low] = values
  return `${sayRange([low, high])} ${unit}`.trim()
}

/** What a zone is called, with what is measured there and when it counts, where its name does not say. */
export function sayZone({ zone, measures, during }: ZoneTarget): string {
  const measured = measures && !zone.includes(measures) ? ` (${care.measures[measures]})` : ''
  return `${zone}${measured}${during ? `, during ${words.hold[during].toLowerCase()}` : ''}`
}

/** The climate of a zone in one line. */
export function sayTarget({
  celsius,
  nightCelsius,
  humidity,
  ceilingCelsius,
  neverBelowCelsius,
}: Omit<ZoneTarget, 'zone'>): string {
  const nights = span(nightCelsius, '°C')
  const parts = [
    span(celsius, '°C'),
    nights && `nights ${nights}`,
    span(humidity, '%'),
    ceilingCelsius === undefined ? null : `never above ${ceilingCelsius} °C`,
    neverBelowCelsius === undefined ? null : `never below ${neverBelowCelsius} °C`,
  ]
  return parts.filter(Boolean).join(', ')
}

/** The lines of the light as a keeper reads them, each with the field it stands in. */
export function lightLines({ hours, winterHours, uvb }: Partial<Light> = {}) {
  const share = uvb?.share.map((part) => Math.round(part * 100))
  const lines: readonly (readonly [keyof Light, string, string | null])[] = [
    ['hours', care.light.hours, span(hours, 'h')],
    ['winterHours', care.light.winterHours, span(winterHours, 'h')],
    ['uvb', 'Tube over the length', span(share, '%')],
    ['uvb', 'Tube to the back', span(uvb?.distanceMm, 'mm')],
    ['uvb', 'UV index', span(uvb?.index, '')],
  ]
  return lines.flatMap(([field, term, says]) => (says === null ? [] : [{ field, term, says }]))
}

/** A line of the housing as a keeper reads it. */
export function sayHousing(field: string, value: unknown): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'not needed'
  if (field === 'floorPerAnimalCm2') return range(value, 'cm²')
  if (field === 'hides') return String(value)
  if (field === 'litresPerAnimal') return range(value, 'l')
  if (field === 'fall') {
    const { mm, part, times } = value as { mm: number; part?: keyof typeof terms.part; times?: number }
    return part && times !== undefined ? `${mm} mm, or ${times} × its ${terms.part[part]}` : `${mm} mm`
  }
  if (field === 'times') {
    const { part, ...sides } = value as { part: keyof typeof terms.part; [side: string]: unknown }
    const said = Object.entries(sides).map(([side, times]) => `${side} ${String(times)} ×`)
    return `${said.join(', ')} its ${terms.part[part]}`
  }
  if (field === 'freeBelowPerch') {
    const { part, times, grows } = value as NonNullable<Housing['freeBelowPerch']>
    const next = grows === undefined ? '' : ' as it will be after the molt'
    return `${times.join('–')} × its ${terms.part[part]}${next}`
  }
  if (field === 'notLarger') {
    const { litres, untilCount } = value as { litres: number; untilCount?: number }
    return `${litres} l${untilCount === undefined ? '' : ` until there are ${untilCount}`}`
  }
  return range(value, 'mm')
}

export function sayHeldFloor({ days, checkEvery, hides, eggDays, harmlessOutside }: FloorRule): string {
  const eggs =
    eggDays === undefined ? '' : ` Eggs take up to ${eggDays} days, and longer where it lies cooler.`
  const freeze = harmlessOutside
    ? ''
    : ' Frozen for three days before it goes: what is in it must not settle outside.'
  return `Kept ${days} days, looked into every ${checkEvery}: it may hide ${hides}.${eggs}${freeze}`
}
