import * as z from 'zod/mini'
import { Hemisphere } from '../basics/time/hemisphere.ts'
import { Day } from '../basics/time/day.ts'
import { ListAnswers } from '../bringIn/answers.ts'
import { guessColumns } from '../bringIn/columns/guess.ts'
import { belowHead, filledLines } from '../bringIn/columns/head.ts'
import type { House } from '../bringIn/house.ts'
import { factsOfList, understand } from '../bringIn/list.ts'
import { wordsOfHouse } from '../bringIn/rows.ts'
import { Column } from '../bringIn/columns/meaning.ts'
import { boundsAt } from '../plans/plausible/boundsAt.ts'
import type { Sheet } from '../plans/sheet/sheet.ts'
import type { Computation } from './computation.ts'

const GUESSED_FROM = 400

const Known = z.strictObject({
  id: z.string(),
  number: z._default(z.string(), ''),
  name: z.string(),
  sheet: z.string(),
  stage: z._default(z.string(), ''),
  place: z._default(z.nullable(z.string()), null),
})

const Input = z.strictObject({
  lines: z
    .array(z.array(z.nullable(z.union([z.string(), z.number()]))))
    .check(z.describe('Of the file, cell by cell, from its first line; titles and empty lines among them.')),
  head: z
    .optional(z.int().check(z.minimum(1)))
    .check(z.describe('The line that names the columns, counted from 1; guessed without it.')),
  columns: z.optional(z.array(Column)).check(z.describe('What the columns mean; guessed without it.')),
  house: z._default(
    z.strictObject({
      residents: z._default(z.array(Known), []),
      boxes: z._default(
        z.array(z.strictObject({ id: z.string(), name: z.string(), taken: z._default(z.boolean(), false) })),
        [],
      ),
      hemisphere: z._default(Hemisphere, 'north'),
    }),
    { residents: [], boxes: [], hemisphere: 'north' },
  ),
  answers: z.prefault(ListAnswers, {}),
  mended: z
    ._default(
      z.array(
        z.strictObject({
          line: z.int(),
          cells: z.optional(z.record(z.string(), z.string())),
          accepted: z.optional(z.boolean()),
          leftOut: z.optional(z.boolean()),
        }),
      ),
      [],
    )
    .check(z.describe('Rows that were mended, by their line; cells by the number of their column, from 0.')),
  day: Day.check(z.describe('On which the list is brought in.')),
  minute: z._default(z.int().check(z.minimum(0), z.maximum(1439)), 720),
})
type Asked = z.output<typeof Input>

const Output = z.strictObject({
  head: z.int(),
  columns: z.array(z.strictObject({ column: Column, because: z.array(z.looseObject({ code: z.string() })) })),
  rows: z.int(),
  leftOut: z.int(),
  heading: z.int(),
  newcomers: z.int(),
  facts: z
    .array(
      z.strictObject({
        line: z.int(),
        subject: z.string(),
        kind: z.string(),
        payload: z.unknown(),
        day: z.int(),
        minute: z.int(),
        uid: z.string(),
      }),
    )
    .check(z.describe('Of the rows with which nothing is wrong.')),
  questions: z.array(z.unknown()).check(z.describe('What the list leaves open, once for all rows.')),
  faulty: z.array(z.unknown()),
  species: z.array(z.unknown()),
  lately: z.array(z.unknown()),
})

function houseOf({ house, day, minute }: Asked, sheets: ReadonlyMap<string, Sheet>): House {
  return {
    ...house,
    sheets: [...sheets.values()],
    now: { day, minute },
    says: { longPast: 'From a list; the molt is long past', someFood: 'food, not written down' },
    boundsOf: (id, stageId) => {
      const sheet = sheets.get(id)
      const stage = sheet?.stages.find((one) => one.id === stageId)
      return sheet && stage && boundsAt(sheet, stage)
    },
  }
}

function run(asked: Asked, sheets: ReadonlyMap<string, Sheet>): z.input<typeof Output> {
  const { columns: said, answers, mended } = asked
  const filled = filledLines(asked.lines.map((cells) => cells.map((cell) => String(cell ?? ''))))
  const { head, ...table } = belowHead(filled, asked.head ?? null)
  const width = Math.max(0, ...filled.map(({ cells }) => cells.length))
  const headers = Array.from({ length: width }, (_, column) => head?.cells[column]?.trim() ?? '')
  const house = houseOf(asked, sheets)
  const guesses = guessColumns(headers, table.rows.slice(0, GUESSED_FROM), wordsOfHouse(house))
  const columns = said ?? guesses.map(({ column }) => column)
  const byLine = new Map(mended.map(({ line, ...mend }) => [table.lines.indexOf(line), mend]))
  const reading = { columns, house, answers, mended: byLine }
  const { rows, leftOut, heading, newcomers, questions, faulty, species, lately } = understand(table, reading)
  return {
    head: head?.line ?? 1,
    columns: columns.map((column, index) => ({ column, because: [...(guesses[index]?.because ?? [])] })),
    rows,
    leftOut,
    heading,
    newcomers,
    facts: factsOfList(table, reading).map(({ moment, ...fact }) => ({ ...fact, ...moment })),
    questions,
    faulty,
    species,
    lately,
  }
}

/** What a list comes to as it would be brought in, over the sheets that ship. */
export function bringInComputation(
  sheets: ReadonlyMap<string, Sheet>,
): Computation<typeof Input, typeof Output> {
  return {
    name: 'bring-in',
    about: 'What a list says, row by row, as facts, and what it leaves open.',
    input: Input,
    output: Output,
    run: (asked) => run(asked, sheets),
  }
}
