import type { LotState } from '@kobrin/core'
import { emptyLot } from '@kobrin/core'
import { shallowReactive } from 'vue'

/** What is believed of lots on this device. */
export function lotsHere() {
  const lots = shallowReactive(new Map<string, LotState>())
  return {
    empty: emptyLot(),
    believe: (lot: string, state: LotState): void => void lots.set(lot, state),
    shown: { lots },
  }
}
