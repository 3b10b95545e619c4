import type { HoldKind } from '../../facts/holds/holdKind.ts'
import type { Severity } from '../../facts/health/severity.ts'
import type { SheetGroup } from '../../plans/sheet/group.ts'
import type { ExplainedBy } from '../verdicts/explainedBy.ts'
import type { Verdict, VerdictWhat } from '../verdicts/verdict.ts'

/** What is true of an animal on the day it is advised about. */
export interface Advised {
  group: SheetGroup | null
  young: boolean
  /** One record stands for many. */
  colony: boolean
  holds: readonly HoldKind[]
  /** The air or the floor was read drier than its sheet wants. */
  dry: boolean
}

/** In which case a row of the table is meant; every field that is there has to fit. */
export interface Case {
  groups?: readonly SheetGroup[]
  young?: boolean
  colony?: boolean
  /** One of these holds is on. */
  holds?: readonly HoldKind[]
  dry?: boolean
  severities?: readonly Severity[]
  explainedBy?: readonly ExplainedBy[]
  /** Of a reading. */
  high?: boolean
  harms?: boolean
  quantities?: readonly string[]
  inWater?: boolean
  /** Of a sign of the skin. */
  signs?: readonly string[]
  /** Of what stands against a rest. */
  only?: string
  /** Of a hold that should be over. */
  hold?: readonly HoldKind[]
  /** Of one that is gone rather than hidden. */
  gone?: boolean
  /** Of fewer than a start of them takes, rather than of too many. */
  few?: boolean
  /** Of a score of its condition. */
  fat?: boolean
}

function has<T>(list: readonly T[] | undefined, one: T | null): boolean {
  return list === undefined || (one !== null && list.includes(one))
}

function isSo(wanted: boolean | undefined, is: boolean): boolean {
  return wanted === undefined || wanted === is
}

function fitsReading(the: Case, what: VerdictWhat): boolean {
  const { high, harms, quantities, inWater } = the
  if ([high, harms, quantities, inWater].every((one) => one === undefined)) return true
  if (what.code !== 'reading') return false
  return (
    isSo(high, what.high) &&
    isSo(harms, what.harms) &&
    has(quantities, what.what) &&
    isSo(inWater, what.inWater)
  )
}

function fitsWhat(the: Case, what: VerdictWhat): boolean {
  const explainedBy = 'explainedBy' in what ? what.explainedBy : null
  const sign = what.code === 'signTooLong' ? what.stage : null
  const hold = what.code === 'holdOverdue' ? what.hold : null
  const obstacles = what.code === 'restUnfit' ? what.obstacles.map(({ code }) => code as string) : []
  return (
    has(the.explainedBy, explainedBy) &&
    has(the.signs, sign) &&
    has(the.hold, hold) &&
    (the.only === undefined || (obstacles.length > 0 && obstacles.every((code) => code === the.only))) &&
    isSo(the.gone, what.code === 'unseen' && what.gone) &&
    isSo(the.few, what.code === 'crowded' && what.by === 'start') &&
    isSo(the.fat, what.code === 'condition' && what.score > 3)
  )
}

/** Whether a row is meant for a verdict on somebody. */
export function isCase(the: Case, { what, severity }: Verdict, advised: Advised): boolean {
  return (
    has(the.groups, advised.group) &&
    isSo(the.young, advised.young) &&
    isSo(the.colony, advised.colony) &&
    isSo(the.dry, advised.dry) &&
    has(the.severities, severity) &&
    (the.holds === undefined || the.holds.some((hold) => advised.holds.includes(hold))) &&
    fitsReading(the, what) &&
    fitsWhat(the, what)
  )
}
