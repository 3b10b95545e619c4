import type { Computation } from './computation.ts'
import { walkComputation } from './walkComputation.ts'

/** Every computation that can be asked for by name. */
export const computations: readonly Computation[] = [walkComputation]
