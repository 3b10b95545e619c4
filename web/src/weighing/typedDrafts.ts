import type { BodyPart, Draft, Tub, WeightContext } from '@kobrin/core'

/** What a question can be about, besides a part that was measured. */
export const WEIGHT = 'weight'

/** What was asked about: it is so, or it is kept and not believed. */
export type Settled = 'so' | 'doubted'

interface Typed {
  /** Without the tub. */
  grams: number | null
  duty: string | undefined
  tub: Tub | null
  context: readonly WeightContext[]
  mm: ReadonlyMap<BodyPart, number | null | undefined>
  score: string
  settled: ReadonlyMap<string, Settled>
}

const SO = { confirmed: true } as const
const DOUBTED = { doubted: true } as const

/** What was typed at the balance as it would be kept, by what it is about. */
export function typedDrafts(
  subject: string,
  { grams, duty, tub, context, mm, score, settled }: Typed,
): Map<string, Draft> {
  const drafts = new Map<string, Draft>()
  const so = (about: string) => (settled.get(about) === 'so' ? SO : {})
  if (grams !== null)
    drafts.set(WEIGHT, {
      subject,
      kind: 'weighed',
      payload: {
        ...(duty !== undefined && { duty }),
        grams,
        ...so(WEIGHT),
        ...(settled.get(WEIGHT) === 'doubted' && DOUBTED),
        ...(context.length > 0 && { context: [...context] }),
        ...(tub && { tub: { label: tub.label, grams: tub.grams } }),
      },
    })
  for (const [part, value] of mm)
    if (typeof value === 'number')
      drafts.set(part, { subject, kind: 'measured', payload: { part, mm: value, ...so(part) } })
  if (score !== '') drafts.set('score', { subject, kind: 'condition', payload: { score: Number(score) } })
  return drafts
}
