import * as z from 'zod/mini'
import { Override } from '../plans/plan/override.ts'
import { Plan } from '../plans/plan/plan.ts'
import { isPlan, resolvePlan } from '../plans/plan/resolvePlan.ts'
import { sheetFaults } from '../plans/sheet/faults.ts'
import { Sheet } from '../plans/sheet/sheet.ts'
import type { Computation } from './computation.ts'
import { Refusal, refusal } from './computation.ts'

const Input = z.strictObject({
  sheet: Sheet,
  stage: z.string(),
  schools: z._default(z.record(z.string(), z.string()), {}),
  siteOverrides: z._default(z.array(Override), []),
  residentOverrides: z._default(z.array(Override), []),
  day: z.number(),
  phase: z._default(z.int().check(z.minimum(0), z.maximum(6)), 0),
})

const Output = z.union([Plan, Refusal])

function run({ sheet, ...choices }: z.output<typeof Input>): z.input<typeof Output> {
  const [fault] = sheetFaults(sheet)
  if (fault) return refusal({ code: 'sheetFault', path: fault.path.join('.'), fault: fault.what.code })
  const plan = resolvePlan(sheet, choices)
  return isPlan(plan) ? plan : refusal(plan)
}

export const planComputation: Computation<typeof Input, typeof Output> = {
  name: 'plan',
  about: 'The plan that follows from a sheet, a stage, the schools chosen and the changes signed.',
  input: Input,
  output: Output,
  run,
}
