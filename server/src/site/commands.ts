import type { KeepEnclosure } from '@kobrin/contract'
import { eq } from 'drizzle-orm'
import type { Changing } from '../changes/changing.ts'
import { changing } from '../changes/changing.ts'
import { KobrinProblem } from '../errors/problem.ts'
import { enclosure } from './tables.ts'

/** Writes down how an enclosure is built; its history is kept by the table. */
export async function keepEnclosure(by: Changing, id: string, kept: KeepEnclosure): Promise<void> {
  const { build, widthMm, depthMm, heightMm } = kept
  await changing(by, async (tx) => {
    const [known] = await tx.select({ id: enclosure.id }).from(enclosure).where(eq(enclosure.id, id))
    if (!known) throw new KobrinProblem('unknown_place')
    await tx.update(enclosure).set({ build, widthMm, depthMm, heightMm }).where(eq(enclosure.id, id))
    return {
      changes: [{ what: { kind: 'enclosure', enclosure: id }, reason: '' }],
      answer: undefined,
    }
  })
}
