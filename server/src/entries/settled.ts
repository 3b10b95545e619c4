import type { Echo, Entry, Fact } from '@kobrin/core'
import {
  advance,
  compareCursors,
  cursorOf,
  echoesOf,
  effectiveFacts,
  isAmendment,
  replay,
} from '@kobrin/core'
import type { Database } from '../database/connect.ts'
import { echoesAbout, hearersOf } from './echoes.ts'
import type { AnyState, Fold } from './foldMemory.ts'
import { historyOf } from './queries.ts'
import type { TouchRow } from './touchRows.ts'
import { touchRows } from './touchRows.ts'
import type { Turn } from './turn.ts'
import { turnOn } from './turn.ts'
import type { Registration } from './writeTogether.ts'

export interface Settled {
  turn: Turn
  state: AnyState
  /** Touches of facts that count differently from now on, and whose they were. */
  touches: TouchRow[]
  retouched: string[]
}

/** What a turn makes count, and what it makes count otherwise. */
interface Reach {
  history: Entry[] | null
  facts: Fact[]
  retouched: string[]
}

const NO_REACH: Reach = { history: null, facts: [], retouched: [] }

/** For a turn that reaches back, by one look at the whole history. */
async function reachOf(db: Database, turn: Turn): Promise<Reach> {
  if (!turn.replays) return { ...NO_REACH, facts: turn.added.filter((entry) => !isAmendment(entry)) }
  const history: Entry[] = [...(await historyOf(db, turn.subject)), ...turn.added]
  const amended = turn.added.filter(isAmendment).map(({ payload }) => payload.target)
  // What was amended before may count again, or otherwise, after this.
  const reached = new Set([
    ...amended,
    ...history
      .filter(isAmendment)
      .filter(({ uid }) => amended.includes(uid))
      .map(({ payload }) => payload.target),
  ])
  const fresh = new Set(turn.added.map(({ uid }) => uid))
  const facts = effectiveFacts(history).filter(({ uid }) => reached.has(uid) || fresh.has(uid))
  return { history, facts, retouched: [...reached] }
}

/** What the facts of a batch say of other subjects, by whom they are about, in the order of what happened. */
function echoesIn(reaches: Iterable<Reach>): Map<string, Echo[]> {
  const echoes = new Map<string, Echo[]>()
  for (const { facts } of reaches)
    for (const echo of facts.flatMap(echoesOf))
      echoes.set(echo.subject, [...(echoes.get(echo.subject) ?? []), echo])
  for (const about of echoes.values()) about.sort((a, b) => compareCursors(cursorOf(a), cursorOf(b)))
  return echoes
}

function hearing(turn: Turn, echoes: readonly Echo[], replays: boolean): Turn {
  let next: Turn = replays ? { ...turn, replays } : turn
  for (const echo of echoes) {
    const state = next.replays ? 'replay' : advance(next.state, echo)
    next = state === 'replay' ? { ...next, replays: true } : { ...next, state }
  }
  return next
}

/** What the turns of a batch come to, those of other subjects that hear of it among them. `foldsOf` knows what was
 * believed of these. */
export async function settled(
  db: Database,
  turns: ReadonlyMap<string, Turn>,
  foldsOf: (subjects: readonly string[]) => Promise<ReadonlyMap<string, Fold>>,
): Promise<Settled[]> {
  const reaches = new Map<string, Reach>()
  for (const [subject, turn] of turns) reaches.set(subject, await reachOf(db, turn))
  const retouched = new Set([...reaches.values()].flatMap((reach) => reach.retouched))
  const echoes = echoesIn(reaches.values())
  const heardBefore = new Set(await hearersOf(db, [...retouched]))
  const hearers = [...new Set([...echoes.keys(), ...heardBefore])]
  const others = hearers.filter((subject) => !turns.has(subject))
  const all = new Map(turns)
  if (others.length > 0)
    for (const [subject, fold] of await foldsOf(others)) all.set(subject, turnOn(subject, fold))
  for (const subject of hearers) {
    const turn = all.get(subject)
    if (turn) all.set(subject, hearing(turn, echoes.get(subject) ?? [], heardBefore.has(subject)))
  }
  const ends: Settled[] = []
  for (const [subject, turn] of all) {
    const reach = reaches.get(subject) ?? NO_REACH
    const { facts } = reach
    const state = turn.replays
      ? await replayed(db, turn, reach, { retouched, echoes: echoes.get(subject) ?? [] })
      : turn.state
    ends.push({ turn, state, touches: facts.flatMap(touchRows), retouched: reach.retouched })
  }
  return ends
}

async function replayed(
  db: Database,
  { subject, family, added }: Turn,
  { history }: Reach,
  { retouched, echoes }: { retouched: ReadonlySet<string>; echoes: readonly Echo[] },
): Promise<AnyState> {
  const entries = history ?? [...(await historyOf(db, subject)), ...added]
  const before = (await echoesAbout(db, subject, family)).filter(({ uid }) => !retouched.has(uid))
  return replay(family, entries, [...before, ...echoes])
}

export function registrationOf({ turn, state }: Settled): Registration | null {
  if (!('register' in state) || !('register' in turn.before)) return null
  const { register } = state
  const before = turn.before.register
  if (register === before || JSON.stringify(register) === JSON.stringify(before)) return null
  return { subject: turn.subject, register, isNew: before === null && register !== null }
}
