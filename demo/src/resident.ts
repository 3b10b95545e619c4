import type { Register } from '@kobrin/core'

/** Somebody who lives in a made-up house, as it is put on record. */
export interface HouseResident extends Register {
  id: string
}
