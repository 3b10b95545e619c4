import type { BodyPart, Draft, FeedOutcome, Task } from '@kobrin/core'
import { asPlanned, canBeForAll, fedDraft, isToDo, needsNumber } from '@kobrin/core'
import { readSigned } from '../fields/readSigned.ts'
import { kept } from '../words/measures.ts'
import { unitOf } from '../words/readings.ts'
import { t } from './words.ts'

/** As planned: it looks like a tick on paper. */
export const PLANNED = 'v'
/** Behind a number: it was looked at twice. */
const INSISTS = '!'

const OUTCOMES: Readonly<Record<string, FeedOutcome>> = {
  p: 'part',
  r: 'refused',
  l: 'left',
  x: 'notOffered',
}

/** Whom a cell is about. */
export interface Whom {
  resident: string
  /** Where it lives: its readings are taken there, and what is done to its box is said of it. */
  home: string | undefined
  /** Its care sheet. */
  sheet: string
  /** What of it is measured. */
  part: BodyPart
}

export type CellRead = { drafts: Draft[]; insists: boolean } | { complaint: string }

function isBowl({ duty }: Task): boolean {
  return duty.cadence.type === 'whenEmpty'
}

function planned({ resident, home, sheet }: Whom, task: Task): Draft | null {
  return asPlanned(resident, task, home === undefined ? undefined : { enclosure: home, plan: { sheet } })
}

/** The meal that was given, in another amount than planned: pieces where it is given by the piece. */
function fedSo(resident: string, task: Task, amount: number): Draft | null {
  if (!task.offering) return null
  const { count: _count, grams: _grams, ...offering } = task.offering
  const said = fedDraft(resident, task, offering, 'taken')
  if (said.kind !== 'fed') return null
  const much = task.offering.count ? { count: amount } : { grams: kept(amount, 'g') }
  return { ...said, payload: { ...said.payload, ...much } }
}

function numbered({ resident, home, part }: Whom, { duty }: Task, value: number): Draft | null {
  if (duty.does === 'measure')
    return value > 0
      ? { subject: resident, kind: 'measured', payload: { duty: duty.id, part, mm: kept(value, 'mm') } }
      : null
  if (!duty.reads || home === undefined) return null
  const { zone, what } = duty.reads
  return {
    subject: home,
    kind: 'reading',
    payload: { zone, what, value: kept(value, unitOf(what)), resident },
  }
}

/** What became of the food that was left to find: eaten, or taken out. */
function whatLay(subject: string, duty: string, mark: string): Draft | null {
  if (mark === 'e') return { subject, kind: 'bowl', payload: { duty, found: 'empty' } }
  if (mark === 'r') return { subject, kind: 'bowl', payload: { duty, found: 'full', leftFraction: 0.95 } }
  return null
}

/** What a mark other than the tick says of one duty; null where it says nothing of it. */
function marked(whom: Whom, task: Task, mark: string): Draft | null {
  const { resident } = whom
  const { does, id: duty } = task.duty
  const value = readSigned(mark)
  if (task.leftToFind) return whatLay(resident, task.leftToFind.duty, mark)
  if (does === 'feed' && isBowl(task))
    return mark === 'e'
      ? { subject: resident, kind: 'bowl', payload: { duty, found: 'empty', refilled: true } }
      : null
  if (does === 'feed') {
    if (value !== null) return value > 0 ? fedSo(resident, task, value) : null
    const outcome = OUTCOMES[mark]
    return outcome && task.offering ? fedDraft(resident, task, task.offering, outcome) : null
  }
  if (does === 'look')
    return mark === 'z' ? { subject: resident, kind: 'looked', payload: { duty, seen: false } } : null
  return needsNumber(does) && value !== null ? numbered(whom, task, value) : null
}

/** What may be written in a cell, in words. */
function mayBe(tasks: readonly Task[]): string {
  const has = (is: (task: Task) => boolean) => tasks.some(is)
  return [
    ...(has(({ duty, leftToFind }) => !needsNumber(duty.does) && !leftToFind)
      ? [t('legendPlanned')]
      : [t('legendNumbers')]),
    ...(has((task) => task.duty.does === 'feed' && !isBowl(task)) ? [t('legendFeed')] : []),
    ...(has((task) => task.duty.does === 'feed' && isBowl(task)) ? [t('legendBowl')] : []),
    ...(has(({ duty, leftToFind }) => duty.does === 'look' && !leftToFind) ? [t('legendLook')] : []),
    ...(has(({ leftToFind }) => leftToFind !== undefined) ? [t('legendLeft')] : []),
  ].join('; ')
}

/** Reads what was copied from paper into the cell of some duties. Null where nothing stands there. */
export function readCell(typed: string, whom: Whom, tasks: readonly Task[]): CellRead | null {
  const said = typed.trim().toLowerCase()
  if (said === '') return null
  const insists = said.endsWith(INSISTS)
  const mark = insists ? said.slice(0, -1).trim() : said
  if (mark === PLANNED) {
    const drafts = tasks.flatMap((task) => planned(whom, task) ?? [])
    if (drafts.length > 0) return { drafts, insists }
  }
  for (const task of tasks) {
    const draft = marked(whom, task, mark)
    if (draft) return { drafts: [draft], insists }
  }
  return { complaint: t('notRead', { typed: typed.trim(), may: mayBe(tasks) }) }
}

/** Reads a weight, due or not. Null where nothing stands there. */
export function readWeight(typed: string, resident: string, due?: Task): CellRead | null {
  const said = typed.trim()
  if (said === '') return null
  const insists = said.endsWith(INSISTS)
  const grams = readSigned(insists ? said.slice(0, -1) : said)
  if (grams === null || grams <= 0) return { complaint: t('notANumber', { typed: said }) }
  const duty = due && { duty: due.duty.id }
  return {
    drafts: [{ subject: resident, kind: 'weighed', payload: { ...duty, grams: kept(grams, 'g') } }],
    insists,
  }
}

/** Reads a note. Null where nothing stands there. */
export function readNote(typed: string, resident: string): CellRead | null {
  const text = typed.trim()
  return text === ''
    ? null
    : { drafts: [{ subject: resident, kind: 'noted', payload: { text } }], insists: false }
}

/** Everything of a line that is due, as planned: what was not marked otherwise and one tick may say of many. */
export function allAsPlanned(whom: Whom, tasks: readonly Task[]): Draft[] {
  return tasks
    .filter((task) => isToDo(task) && canBeForAll(task))
    .flatMap((task) => planned(whom, task) ?? [])
}
