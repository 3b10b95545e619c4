import type { Register, ResidentState } from '@kobrin/core'
import { emptyResident } from '@kobrin/core'

/** What is believed of residents on this device: their lines go into the register. */
export function residentsHere(put: (residentId: string, register: Register | null) => void) {
  return {
    empty: emptyResident(),
    believe: (residentId: string, { register }: ResidentState): void => put(residentId, register),
    shown: {},
  }
}
