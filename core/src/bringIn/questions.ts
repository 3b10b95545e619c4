import type { Sheet } from '../plans/sheet/sheet.ts'
import { EACH, UNCOUNTED } from './answers.ts'
import type { FaultyRow } from './list.ts'
import type { LikeReason } from './likeness.ts'
import { plain } from './house.ts'
import type { Meaning } from './columns/meaning.ts'
import type { RowFault, RowProblem } from './rowReading.ts'

/** Something that may be answered for many rows at once, and why. */
export interface Proposal {
  /** What it is read as: a sheet, a stage, a place, a word. */
  is: string
  because?: LikeReason
}

/** Something a list leaves open: once for all the rows that leave it open. */
export interface ListQuestion {
  problem: RowProblem
  meaning: Meaning | null
  /** The column it is about; null where it is about what no column says. */
  column: number | null
  rows: number
  /** The first lines it is about, and who. */
  lines: number[]
  who: string[]
  proposals: Proposal[]
}

const LINES_TOLD = 5

/** What is asked once however it is written: for a whole column, or for all that happened. */
const WHOLE: readonly RowProblem['code'][] = ['noDay', 'roughDay', 'noPlace']
const OF_COLUMN: readonly RowProblem['code'][] = ['orderUnsaid', 'signUnsaid']

function keyOf({ column, meaning, problem }: RowFault): string {
  const { code } = problem
  if (WHOLE.includes(code)) return code
  if (OF_COLUMN.includes(code)) return `${code} ${column}`
  if (problem.code === 'implausible') return `${code} ${column} ${problem.asUnit ?? plain(problem.said)}`
  if (problem.code === 'several') return `${code} ${problem.count} ${problem.sheet}`
  const of = 'sheet' in problem ? problem.sheet : ''
  const said = 'said' in problem ? plain(problem.said) : ''
  return [code, meaning ?? '', of, said].join('\u001f')
}

function proposalsOf(problem: RowProblem, sheets: ReadonlyMap<string, Sheet>): Proposal[] {
  switch (problem.code) {
    case 'unknownSpecies':
      return problem.likely.map(({ sheet, because }) => ({ is: sheet, because }))
    case 'unknownStage':
    case 'whichStage':
      return (sheets.get(problem.sheet)?.stages ?? []).map(({ id }) => ({ is: id }))
    case 'unknownPlace':
      return problem.likely.map((name) => ({ is: name }))
    case 'noCount':
      return [{ is: UNCOUNTED }]
    case 'several':
      return [{ is: EACH }]
    case 'implausible':
      return problem.asUnit === undefined ? [] : [{ is: problem.asUnit }]
    default:
      return []
  }
}

/** What the rows of a list leave open, asked once each, what most rows ask first. */
export function questionsOf(
  faulty: readonly FaultyRow[],
  sheets: ReadonlyMap<string, Sheet>,
): ListQuestion[] {
  const questions = new Map<string, ListQuestion>()
  for (const { faults, line, who } of faulty) {
    for (const fault of faults) {
      const key = keyOf(fault)
      const { problem, meaning = null, column } = fault
      const question = questions.get(key) ?? {
        problem,
        meaning,
        column,
        rows: 0,
        lines: [],
        who: [],
        proposals: proposalsOf(problem, sheets),
      }
      question.rows += 1
      if (question.lines.length < LINES_TOLD) {
        question.lines.push(line)
        question.who.push(who)
      }
      questions.set(key, question)
    }
  }
  return [...questions.values()].sort((a, b) => b.rows - a.rows)
}
