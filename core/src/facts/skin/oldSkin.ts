import type { OldSkin, SkinLeft } from './skinState.ts'

interface Coming {
  how?: 'whole' | 'inPieces' | undefined
  retained: readonly SkinLeft[]
  /** The same shed was told before. */
  again: boolean
  day: number
  by: string
}

/** Old skin after a shed or molt. Only one that came off whole takes with it what had stayed on; any other adds the
 * places it left, and one more layer where there was one. The same shed told twice is one layer. */
export function oldSkinAfter(
  before: readonly OldSkin[],
  { how, retained, again, day, by }: Coming,
): OldSkin[] {
  const kept = how === 'whole' ? before.filter(({ since }) => again && since === day) : before
  const named = new Set(retained)
  const deeper = kept.map((old) => (named.has(old.part) && !again ? { ...old, layers: old.layers + 1 } : old))
  const known = new Set(kept.map(({ part }) => part))
  const added = [...named].filter((part) => !known.has(part))
  return [...deeper, ...added.map((part) => ({ part, layers: 1, since: day, by }))]
}
