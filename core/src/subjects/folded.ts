import { z } from 'zod'

/** What every fold begins with: how far its subject's history is folded, and from how many facts. */
export const folded = {
  cursor: z.strictObject({ at: z.string(), uid: z.string() }).nullable(),
  facts: z.number(),
}

export interface Folded {
  cursor: { at: string; uid: string } | null
  facts: number
}

export function nothingFolded(): Folded {
  return { cursor: null, facts: 0 }
}
