import { bringInComputation } from './bringInComputation.ts'
import type { Computation } from './computation.ts'
import { dayLengthComputation } from './dayLengthComputation.ts'
import { dilutionComputation } from './dilutionComputation.ts'
import { fitComputation } from './fitComputation.ts'
import { growthFitComputation } from './growthFitComputation.ts'
import { mixComputation } from './mixComputation.ts'
import { planComputation } from './planComputation.ts'
import { preySizeComputation } from './preySizeComputation.ts'
import { renewalComputation } from './renewalComputation.ts'
import type { Sheet } from '../plans/sheet/sheet.ts'
import { stillWeightComputation } from './stillWeightComputation.ts'
import { verdictsComputation } from './verdictsComputation.ts'
import { walkComputation } from './walkComputation.ts'
import { weightTrendComputation } from './weightTrendComputation.ts'

/** Every computation that can be asked for by name and needs no more than its input. */
const ALONE: readonly Computation[] = [
  walkComputation,
  planComputation,
  fitComputation,
  mixComputation,
  preySizeComputation,
  dayLengthComputation,
  dilutionComputation,
  growthFitComputation,
  weightTrendComputation,
  renewalComputation,
  stillWeightComputation,
]

/** Every computation that can be asked for by name, over the sheets that ship. */
export function computationsOver(sheets: ReadonlyMap<string, Sheet>): readonly Computation[] {
  return [...ALONE, verdictsComputation(sheets), bringInComputation(sheets)]
}
