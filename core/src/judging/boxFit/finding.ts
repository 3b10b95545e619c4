import type { Box } from '../../facts/enclosures/box.ts'
import type { Build } from '../../facts/enclosures/build.ts'
import type { BodyPart } from '../../facts/growth/growthState.ts'
import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Severity } from '../../facts/health/severity.ts'
import type { Source } from '../../plans/plan/source.ts'
import type { ZoneTarget } from '../../plans/sheet/climate.ts'
import type { Housing, Light } from '../../plans/sheet/housing.ts'
import type { Range } from '../../basics/range.ts'
import type { Day } from '../../basics/time/day.ts'

/** Who is to live there. */
export interface Tenant {
  /** Millimetres by measured part. */
  sizes: Readonly<Partial<Record<BodyPart, number>>>
  /** Animals in it; one for an individual. */
  count: number
  /** Between how many, where they were estimated. */
  range?: readonly [number, number] | undefined
}

export interface FitInput {
  box: Box
  build: Build
  tenant: Tenant
  housing?: Housing | undefined
  light?: Light | undefined
  targets?: readonly ZoneTarget[]
  coolLoving?: boolean | undefined
  /** Under what the tenant is held: a winter rest has a climate of its own. */
  holds?: readonly HoldKind[] | undefined
  /** Air of the room around the year, °C. */
  roomCelsius?: Range | undefined
  sources?: Readonly<Record<string, Source>> | undefined
  day: Day
}

export type FitCode =
  | 'short'
  | 'narrow'
  | 'low'
  | 'crowded'
  | 'tooMany'
  | 'tooFew'
  | 'fewLitres'
  | 'fallsFar'
  | 'tooLarge'
  | 'cannotStretch'
  | 'floorShallow'
  | 'floorUnknown'
  | 'hangsTooLow'
  | 'noPerch'
  | 'unmeasured'
  | 'noUvb'
  | 'uvbShort'
  | 'uvbLong'
  | 'uvbFar'
  | 'uvbNear'
  | 'uvbOld'
  | 'fewHides'
  | 'noLock'
  | 'meshWide'
  | 'noClimbing'
  | 'noBowl'
  | 'noCrew'
  | 'noThermostat'
  | 'noGuard'
  | 'lampUnsaid'
  | 'matUnderFloor'
  | 'coolRoom'
  | 'noHeat'
  | 'roomTooWarm'
  | 'roomTooCold'
  | 'defect'
  | 'replaceDue'

/** One thing that does not fit, with what is asked for and what is there. */
export interface Finding {
  code: FitCode
  severity: Severity
  needs?: number
  has?: number | null
  part?: BodyPart
  /** Times the measured part, where the need grows with the animal. */
  times?: number
  /** The count from which it no longer holds. */
  until?: number
  what?: string
  source?: Source
}
