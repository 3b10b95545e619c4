import type { Hold, HoldKind, Reason, ResidentDay, Verdict } from '@kobrin/core'
import { isToDo } from '@kobrin/core'
import { dutyName, sayHold, sayVerdict } from '../words/cell.ts'
import type { Teller } from '../words/teller.ts'

/** What somebody asks of everybody in the house. */
export const QUESTIONS = [
  'losing',
  'notGrowing',
  'gaining',
  'offCurve',
  'thin',
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

type What = Verdict['what']
type Code = What['code']

/** "Next month" in a list. */
const SOON_DAYS = 30
/** The score of one that is right. */
const RIGHT = 3

function of(...codes: readonly Code[]) {
  return ({ code }: What) => codes.includes(code)
}

/** What of all that is said of somebody answers a question. */
const ANSWERS: Readonly<Partial<Record<Question, (what: What, today: number) => boolean>>> = {
  losing: of('losing', 'lossExplained'),
  notGrowing: of('notGrowing'),
  gaining: (what) => what.code === 'gainingFast' || (what.code === 'condition' && what.score > RIGHT),
  offCurve: of('offItsCurve'),
  thin: (what) => what.code === 'condition' && what.score < RIGHT,
  refusing: of('refusing'),
  skinSoon: of('ecdysisExpected'),
  skinLate: of('ecdysisOverdue', 'signTooLong', 'retainedSkin'),
  unseen: of('unseen'),
  nextStage: (what, today) =>
    what.code === 'stageReached' ||
    what.code === 'otherPrey' ||
    (what.code === 'outgrows' && what.from <= today + SOON_DAYS),
  doubtful: of('suspectWeight'),
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
  const verdict = verdicts.find(({ what }) => ANSWERS[question]?.(what, teller.today))
  return verdict
    ? { says: sayVerdict(verdict, teller), because: verdict.because, severity: verdict.severity }
    : null
}
