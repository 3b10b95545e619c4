import type { ListAnswers, ListColumn, ListQuestion, Unstaged, WordAnswer } from '@kobrin/core'
import { withAnswer } from '@kobrin/core'
import type { WritableComputedRef } from 'vue'

/** What a question is about, as its answer names it; null where it is answered otherwise. */
function aboutOf({ problem, meaning }: ListQuestion): Omit<WordAnswer, 'is'> | null {
  if (meaning === null) return null
  switch (problem.code) {
    case 'whichStage':
    case 'noCount':
      return { meaning, said: '', of: problem.sheet }
    case 'unknownStage':
      return { meaning, said: problem.said, of: problem.sheet }
    case 'several':
      return { meaning: 'count', said: String(problem.count), of: problem.sheet }
    case 'noPlace':
      return { meaning, said: '' }
    default:
      return 'said' in problem ? { meaning, said: problem.said } : null
  }
}

/** Answers what a list leaves open, for all the rows that leave it open at once. */
export function useAnswering(
  answers: WritableComputedRef<ListAnswers>,
  columns: WritableComputedRef<ListColumn[]>,
) {
  function answer(part: Partial<ListAnswers>): void {
    answers.value = { ...answers.value, ...part }
  }

  function say(one: WordAnswer): void {
    answer({ words: withAnswer(answers.value.words, one) })
  }

  function word(question: ListQuestion, is: string | null): void {
    const about = aboutOf(question)
    if (about) say({ ...about, is })
  }

  function columnsAt(
    question: ListQuestion,
    part: Partial<ListColumn>,
    others: (column: ListColumn) => boolean,
  ): void {
    columns.value = columns.value.map((column, at) =>
      at === question.column || others(column) ? { ...column, ...part } : column,
    )
  }

  return {
    /** All rows with that word are read so; null: they are left out. */
    word,
    /** Rows with that word are left out. */
    leaveOut: (question: ListQuestion) => word(question, null),
    undatedOn: (day: number | null) => answer({ undatedOn: day }),
    roughDays: () => answer({ roughDays: true }),
    unstaged: (...by: Unstaged[]) => answer({ unstaged: by }),
    unitIs: ({ meaning }: ListQuestion, unit: string) =>
      answer({ units: { ...answers.value.units, [meaning === 'size' ? 'size' : 'weight']: unit } }),
    /** Dates in the columns of which nobody said it are written so. */
    orderIs: (question: ListQuestion, order: NonNullable<ListColumn['order']>) =>
      columnsAt(question, { order }, (column) => column.order === null),
    signIs: (question: ListQuestion, decimal: NonNullable<ListColumn['decimal']>) =>
      columnsAt(question, { decimal }, () => false),
    /** A word of a species that was taken for a sheet is another one. */
    speciesIs: (said: string, sheet: string) => say({ meaning: 'species', said, is: sheet }),
  }
}
export type Answering = ReturnType<typeof useAnswering>
