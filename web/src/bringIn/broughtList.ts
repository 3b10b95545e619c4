import type { BroughtIn } from '@kobrin/contract'
import type { ListAnswers, Mended, Understood } from '@kobrin/core'
import { ListColumn, NO_ANSWERS } from '@kobrin/core'
import * as z from 'zod/mini'
import type { Turn } from '../machines/useMachine.ts'
import type { FromWorker } from './listWorker.ts'
import { t } from './words.ts'

type Opened = Extract<FromWorker, { type: 'opened' }>
type Answered = Extract<FromWorker, { type: 'answered' }>

/** How the columns of lists of the same head were read before. */
export const Remembered = z.readonly(z.record(z.string(), z.readonly(z.array(ListColumn))))
export type Remembered = z.infer<typeof Remembered>

/** A list on its way into the record: read, understood, mended, brought in. */
export interface BroughtList {
  file: File | null
  guesses: Opened['guesses']
  columns: readonly ListColumn[]
  /** Its columns are read as they were the last time. */
  wasRemembered: boolean
  answers: ListAnswers
  mended: ReadonlyMap<number, Mended>
  understood: Understood | null
  oldLetters: boolean
  /** What the sheets of its file are called, and which of them is in hand. */
  sheets: readonly string[]
  sheet: number
  /** The first of its rows, as they stand in the file. */
  shown: Opened['shown']
  /** The line that names its columns; null until it is known. */
  head: number | null
  top: Opened['top']
  complaint: string
  /** Of 100; null while nothing is on its way. */
  progress: number | null
  /** Nothing of it is on its way any more, until it is taken up again. */
  isStopped: boolean
  brought: BroughtIn | null
}

export type BroughtListEvent =
  | FromWorker
  /** A file is taken in hand; whatever was in hand before is put aside. */
  | { type: 'taken'; file: File }
  /** Another line names its columns. */
  | { type: 'headed'; line: number }
  /** Another sheet of its file is taken in hand. */
  | { type: 'turnedTo'; sheet: number }
  | { type: 'answeredWith'; answers: ListAnswers }
  | { type: 'named'; columns: readonly ListColumn[] }
  | { type: 'mended'; row: number; part: Mended }
  | { type: 'submitted' }
  | { type: 'stopped' }
  | { type: 'takenUp' }

export type BroughtListDeed =
  | { type: 'open'; file: File; sheet: number; head: number | null }
  /** What is in hand is to be read as it stands. */
  | { type: 'understand' }
  | { type: 'bringIn' }
  | { type: 'stop' }
  | { type: 'remember'; remembered: Remembered }

type Turned = Turn<BroughtList, BroughtListDeed>

const UNREAD: Readonly<Record<Extract<FromWorker, { type: 'unread' }>['fault'], string>> = {
  empty: t('unreadEmpty'),
  oldWorkbook: t('unreadOld'),
  noWorkbook: t('unreadWorkbook'),
  noText: t('unreadText'),
  tooLarge: t('unreadTooLarge'),
}

export const nothingInHand: BroughtList = {
  file: null,
  guesses: [],
  columns: [],
  wasRemembered: false,
  answers: NO_ANSWERS,
  mended: new Map(),
  understood: null,
  oldLetters: false,
  sheets: [],
  sheet: 0,
  shown: [],
  head: null,
  top: [],
  complaint: '',
  progress: null,
  isStopped: false,
  brought: null,
}

/** What lists of the same head have in common. */
function headOf({ guesses }: Pick<BroughtList, 'guesses'>): string {
  return guesses.map(({ column }) => column.header).join('\u001f')
}

function opened(before: BroughtList, { type: _, rows: __, ...list }: Opened, remembered: Remembered): Turned {
  // One that was stopped is read on as it was left.
  if (before.columns.length > 0) return asked(before)
  const known = remembered[headOf(list)]
  const columns = known ?? list.guesses.map(({ column }) => column)
  return asked({ ...before, ...list, columns, wasRemembered: known !== undefined })
}

function fileOf({ file, sheets, sheet }: BroughtList): Pick<BroughtList, 'file' | 'sheets' | 'sheet'> {
  return { file, sheets, sheet }
}

/** The file is read once more, below the head that was found or said. */
function reopened(before: BroughtList): Turned {
  const { file, sheet, head } = before
  return file
    ? { now: { ...before, progress: 0 }, does: { type: 'open', file, sheet, head } }
    : { now: before }
}

/** Is read again, unless it was stopped or is in the record already. */
function asked(now: BroughtList): Turned {
  return now.columns.length > 0 && !now.isStopped && !now.brought
    ? { now, does: { type: 'understand' } }
    : { now }
}

function answered(before: BroughtList, { status, answer }: Answered, remembered: Remembered): Turned {
  const now = { ...before, progress: null }
  if (status !== 200)
    return { now: { ...now, complaint: (answer as { message?: string }).message ?? t('notTaken') } }
  return {
    now: { ...now, brought: answer as BroughtIn },
    does: { type: 'remember', remembered: { ...remembered, [headOf(now)]: now.columns } },
  }
}

function mended(before: BroughtList, row: number, part: Mended): BroughtList {
  const one = before.mended.get(row) ?? {}
  const cells = { ...one.cells, ...part.cells }
  return { ...before, mended: new Map([...before.mended, [row, { ...one, ...part, cells }]]) }
}

/** What an event makes of a list, and what has to be done then. */
export function bring(before: BroughtList, event: BroughtListEvent, remembered: Remembered): Turned {
  switch (event.type) {
    case 'taken':
      return {
        now: { ...nothingInHand, file: event.file, progress: 0 },
        does: { type: 'open', file: event.file, sheet: 0, head: null },
      }
    case 'headed':
      return reopened({ ...nothingInHand, ...fileOf(before), top: before.top, head: event.line })
    case 'turnedTo':
      return reopened({ ...nothingInHand, ...fileOf(before), sheet: event.sheet })
    case 'answeredWith':
      return asked({ ...before, answers: event.answers })
    case 'opened':
      return opened(before, event, remembered)
    case 'unread':
      return { now: { ...before, progress: null, complaint: UNREAD[event.fault] } }
    case 'progress':
      return { now: { ...before, progress: Math.round((100 * event.done) / event.of) } }
    case 'understood':
      return { now: { ...before, progress: null, understood: event.understood } }
    case 'named':
      return asked({ ...before, columns: event.columns })
    case 'mended':
      return asked(mended(before, event.row, event.part))
    case 'submitted':
      return { now: { ...before, complaint: '', progress: 0 }, does: { type: 'bringIn' } }
    case 'sending':
      return { now: { ...before, progress: 100 } }
    case 'answered':
      return answered(before, event, remembered)
    case 'noLink':
      return { now: { ...before, progress: null, complaint: t('noLink') } }
    case 'stopped':
      return {
        now: { ...before, progress: null, understood: null, isStopped: true },
        does: { type: 'stop' },
      }
    case 'takenUp':
      return reopened({ ...before, isStopped: false })
  }
}
