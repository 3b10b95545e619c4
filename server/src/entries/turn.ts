import type { ErrorCode } from '@kobrin/contract'
import { ERRORS } from '@kobrin/contract'
import type { Entry, FamilyName, ResidentState } from '@kobrin/core'
import { advance, emptyState, isAmendment, kindOf, numberClaimedBy } from '@kobrin/core'
import type { AnyState, Fold } from './foldMemory.ts'
import type { Known, Target } from './judge.ts'
import { objection } from './judge.ts'
import type { Knowledge } from './knowledge.ts'

/** A fold on its way from what it was to what the entries of a batch make of it. */
export interface Turn {
  subject: string
  family: FamilyName
  /** The version it was made from; null where the subject begins here. */
  was: number | null
  upTo: string
  before: AnyState
  state: AnyState
  added: Entry[]
  /** Only the whole history can tell: something reaches back before what is folded. */
  replays: boolean
}

export interface Judged {
  accepted: Entry[]
  refused: Map<string, ErrorCode>
  turns: Map<string, Turn>
}

/** A turn of a subject that is on record. */
export function turnOn(subject: string, { family, state, version, upTo, outdated }: Fold): Turn {
  const replays = outdated === true
  return { subject, family, was: version, upTo, before: state, state, added: [], replays }
}

function turnFor(subject: string, entry: Entry, { folds }: Knowledge): Turn {
  const fold = folds.get(subject)
  if (fold) return turnOn(subject, fold)
  // Only a fact that founds is accepted about what is not on record.
  const family = isAmendment(entry) ? 'resident' : kindOf(entry.kind).family
  const state = emptyState(family)
  return { subject, family, was: null, upTo: '', before: state, state, added: [], replays: false }
}

function turned(turn: Turn, entry: Entry): Turn {
  const next = turn.replays ? 'replay' : advance(turn.state, entry)
  return {
    ...turn,
    added: [...turn.added, entry],
    ...(next === 'replay' ? { replays: true } : { state: next }),
  }
}

function registerIn(
  turn: Turn | undefined,
  { folds }: Knowledge,
  subject: string,
): ResidentState['register'] {
  const state = turn?.state ?? folds.get(subject)?.state
  return state && 'register' in state ? state.register : null
}

/** One look at a batch in its order, with acts known to be broken refused from the start. */
function judgedOnce(entries: readonly Entry[], knowledge: Knowledge, broken: ReadonlySet<string>): Judged {
  const accepted: Entry[] = []
  const refused = new Map<string, ErrorCode>()
  const turns = new Map<string, Turn>()
  const here = new Map<string, Target>()
  const numbers = new Map<string, string>()
  const takenBack = new Set(
    entries.flatMap((entry) => (entry.kind === 'retracted' ? [entry.payload.target] : [])),
  )
  const known: Known = {
    familyOf: (subject) =>
      turns.get(subject)?.family ?? knowledge.folds.get(subject)?.family ?? knowledge.families.get(subject),
    // Only what came before it: an amendment cannot speak of what is not there yet.
    target: (uid) => here.get(uid) ?? knowledge.targets.get(uid),
    siblings: (act) => [
      ...(knowledge.siblings.get(act) ?? []),
      ...[...here.values()].filter((one) => one.act === act).map(({ uid }) => uid),
    ],
    takenBack,
    registerOf: (subject) => registerIn(turns.get(subject), knowledge, subject),
    sheet: (id) => knowledge.sheets.get(id),
    holderOf: (number) => numbers.get(number) ?? knowledge.holders.get(number),
  }
  for (const entry of entries) {
    const { uid, subject, kind, act = null } = entry
    const code = objection(entry, known) ?? (act !== null && broken.has(act) ? 'act_incomplete' : null)
    if (code) {
      refused.set(uid, code)
      continue
    }
    accepted.push(entry)
    const number = isAmendment(entry) ? undefined : numberClaimedBy(entry)
    if (number !== undefined) numbers.set(number, subject)
    here.set(uid, { uid, subject, kind, act: isAmendment(entry) ? null : act })
    turns.set(subject, turned(turns.get(subject) ?? turnFor(subject, entry, knowledge), entry))
  }
  return { accepted, refused, turns }
}

/** Judges the entries of a batch in their order and folds those that can be kept. The entries of one doing
 * are kept together or not at all. */
export function judged(entries: readonly Entry[], knowledge: Knowledge): Judged {
  const broken = new Set<string>()
  /** What each was refused for before the rest of its doing was refused with it. */
  const own = new Map<string, ErrorCode>()
  for (;;) {
    const once = judgedOnce(entries, knowledge, broken)
    for (const [uid, code] of once.refused) if (!own.has(uid)) own.set(uid, code)
    const before = broken.size
    for (const { uid, act } of entries) if (act !== undefined && once.refused.has(uid)) broken.add(act)
    if (broken.size === before) return { ...once, refused: own }
  }
}

export function refusalOf(uid: string, code: ErrorCode, message: string = ERRORS[code].message) {
  return { uid, status: 'refused', code, message } as const
}
