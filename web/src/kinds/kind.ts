import type { FactKind, Payload } from '@kobrin/core'
import type { Exception, ExceptionsFor } from '../exceptions/ask.ts'
import type { Teller } from '../words/teller.ts'
import { t } from '../words/facts.ts'

/** Names as entries need them: days from today, people and residents, and the stages and schools of a sheet. */
export type EntryTeller = Pick<Teller, 'today' | 'who' | 'resident' | 'stageOf' | 'schoolOf'>

/** Whom a fact is about, and the names it is said with. */
export interface About extends EntryTeller {
  of: string
}

/** What of a fact can be mended where it is read. */
export interface Mends {
  /** A number, and in what it is. */
  number?: { field: string; unit: string }
  text?: true
  outcome?: true
}

/** A kind of fact as it is shown. */
export interface KindHere<K extends FactKind> {
  /** What it says, in one line. */
  says: (payload: Payload<K>, about: About) => string
  mends?: Mends
  /** What can be said of a resident with it, besides "as planned". */
  offers?: (one: ExceptionsFor) => readonly Exception[]
}

/** Kinds of one work. */
export type KindsHere = { [K in FactKind]?: KindHere<K> }

/** What happened, and why where somebody said so. */
export function withWhy(says: string, why: string | undefined): string {
  return why ? t('saysWhy', { says, why }) : says
}
