import { weightAhead } from '@kobrin/core'
import type { WeightAhead, WeightAheadInput, WhatIf } from '@kobrin/core'

export interface ToWeightAhead {
  input: WeightAheadInput
  whatIf: WhatIf
}

export type FromWeightAhead = WeightAhead

globalThis.addEventListener('message', ({ data: { input, whatIf } }: MessageEvent<ToWeightAhead>) => {
  globalThis.postMessage(weightAhead(input, whatIf) satisfies FromWeightAhead)
})
