import * as z from 'zod/mini'
import { Hemisphere } from '../basics/time/hemisphere.ts'
import { Entry } from '../facts/entries/entry.ts'
import { Severity } from '../facts/health/severity.ts'
import { isPlan, resolvePlan } from '../plans/plan/resolvePlan.ts'
import { Sex } from '../facts/residents/register.ts'
import type { Sheet } from '../plans/sheet/sheet.ts'
import { lifeOn } from '../judging/verdicts/lifeOn.ts'
import { recordSays } from '../judging/verdicts/recordSays.ts'
import { residentDay } from '../judging/walk/residentDay.ts'
import { adviceOn } from '../judging/advice/adviceOn.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal } from './computation.ts'

const day = z.int()

const Input = z.strictObject({
  sheet: z.string().check(z.describe('Of a sheet that ships.')),
  stage: z.string().check(z.describe('At the first entry.')),
  stages: z
    ._default(z.array(z.strictObject({ day, stage: z.string() })), [])
    .check(z.describe('Signed changes of the stage, in order.')),
  schools: z._default(z.record(z.string(), z.string()), {}),
  sex: z._default(Sex, 'unknown'),
  hatchedOn: z._default(z.nullable(day), null),
  hemisphere: z._default(Hemisphere, 'north').check(z.describe('Tells the seasons.')),
  entries: z.array(Entry),
  days: z.array(day),
})

const Output = z.union([
  z.strictObject({
    on: z.array(
      z.strictObject({
        day,
        verdicts: z.array(z.looseObject({ code: z.string(), severity: Severity })),
      }),
    ),
  }),
  Refusal,
])

type Question = z.output<typeof Input>
type SaidOn = { code: string; severity: Severity }[]

function stageOn({ stage, stages }: Question, on: number): string {
  return stages.filter((change) => change.day <= on).at(-1)?.stage ?? stage
}

/** What the record of one life says on each of some days: what the walk, the record and the lists show, but for what
 * no entry tells: how large its box is, and the growth curves, which take too long for every week of a life. */
function judge(sheets: ReadonlyMap<string, Sheet>, question: Question): z.input<typeof Output> {
  const { sheet: id, schools, sex, hatchedOn, hemisphere, entries, days } = question
  const sheet = sheets.get(id)
  if (!sheet) return refusal({ code: 'unknown_sheet', sheet: id, known: [...sheets.keys()] })
  const said = new Map<number, SaidOn>()
  for (const { day: on, state, readings } of lifeOn(entries, days, {
    sheet: id,
    stage: '',
    sex,
    hatchedOn,
  })) {
    const stage = stageOn(question, on)
    const plan = resolvePlan(sheet, { stage, schools, day: on })
    if (!isPlan(plan)) return refusal(plan)
    const today = residentDay({ day: on, plan, state, readings, hemisphere })
    const all = recordSays({ day: on, plan, state, today })
    said.set(
      on,
      all.map((verdict) => {
        const { severity, since, what, because } = verdict
        const next = adviceOn(verdict, all, { plan, holds: today.holds })
        return { ...what, severity, ...(since !== undefined && { since }), because, ...(next && { next }) }
      }),
    )
  }
  return { on: days.map((on) => ({ day: on, verdicts: said.get(on) ?? [] })) }
}

export function verdictsComputation(
  sheets: ReadonlyMap<string, Sheet>,
): Computation<typeof Input, typeof Output> {
  return {
    name: 'verdicts',
    about: 'What the record of one resident says on each of some days, with what explains it.',
    input: Input,
    output: Output,
    run: (question) => judge(sheets, question),
  }
}
