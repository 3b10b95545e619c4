import type { Hold, HoldKind, Reason, ResidentDay, Verdict } from '@kobrin/core'
import { isToDo } from '@kobrin/core'
import { dutyName, sayHold, sayVerdict } from '../words/cell.ts'
import type { Teller } from '../words/reasons.ts'

/** What somebody asks of everybody in the house. */
export const QUESTIONS = [
  'losing',
  'notGrowing',
  'gaining',
  'refusing',
  'notToHandle',
  'skinSoon',
  'skinLate',
  'unseen',
  'notWeighed',
  'nextStage',
  'doubtful',
] as const
export type Question = (typeof QUESTIONS)[number]

/** Why somebody is on the list. */
export interface Answer {
  says: string
  because: readonly Reason[]
  severity: Verdict['severity']
}

type Code = Verdict['what']['code']

const CODES: Readonly<Partial<Record<Question, readonly Code[]>>> = {
  losing: ['losing', 'lossExplained'],
  notGrowing: ['notGrowing'],
  gaining: ['gainingFast', 'condition'],
  refusing: ['refusing'],
  skinSoon: ['ecdysisExpected'],
  skinLate: ['ecdysisOverdue', 'signTooLong', 'retainedSkin'],
  unseen: ['unseen'],
  nextStage: ['stageReached'],
  doubtful: ['suspectWeight'],
}

/** Skin that must not be touched. */
const NOT_TO_HANDLE: readonly HoldKind[] = ['inBlue', 'premolt', 'sealedIn', 'soft']

function ofHold(hold: Hold, today: number): Answer {
  return { says: sayHold(hold, today), because: hold.because, severity: hold.overdue ? 'watch' : 'info' }
}

/** What a list says of one resident; null where it is not on it. */
export function answerOf(
  question: Question,
  { tasks, holds }: Pick<ResidentDay, 'tasks' | 'holds'>,
  verdicts: readonly Verdict[],
  teller: Teller,
): Answer | null {
  if (question === 'notToHandle') {
    const hold = holds.find((one) => NOT_TO_HANDLE.includes(one.hold))
    return hold ? ofHold(hold, teller.today) : null
  }
  if (question === 'notWeighed') {
    const task = tasks.find((one) => one.duty.does === 'weigh' && isToDo(one))
    return task ? { says: dutyName(task), because: task.because, severity: 'info' } : null
  }
  const verdict = verdicts.find(({ what }) => CODES[question]?.includes(what.code))
  return verdict
    ? { says: sayVerdict(verdict, teller), because: verdict.because, severity: verdict.severity }
    : null
}
