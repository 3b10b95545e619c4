import * as z from 'zod/mini'

/** What every fold begins with: how far its subject's history is folded, and from how many facts. */
export const folded = {
  cursor: z.nullable(z.strictObject({ at: z.string(), uid: z.string() })),
  facts: z.number(),
}

export interface Folded {
  cursor: { at: string; uid: string } | null
  facts: number
}

export function nothingFolded(): Folded {
  return { cursor: null, facts: 0 }
}
