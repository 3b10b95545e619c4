import type { Fact } from '../subjects/families.ts'
import { kindNamed } from '../subjects/families.ts'
import type { HouseKnown, Objection, Touch } from '../subjects/kind.ts'

/** The other subjects that a fact, or what would replace it, is about as well. */
export function touchesOf({ kind, payload }: Pick<Fact, 'kind' | 'payload'>): Touch[] {
  return kindNamed(kind)?.touches?.(payload) ?? []
}

/** Whether a subject begins with a fact of this kind. */
export function founds({ kind }: Pick<Fact, 'kind'>): boolean {
  return kindNamed(kind)?.founds === true
}

/** The number that a fact, or what would replace it, claims for its subject. */
export function numberClaimedBy({ kind, payload }: Pick<Fact, 'kind' | 'payload'>): string | undefined {
  return kindNamed(kind)?.claims?.(payload)
}

/** Whether a fact of this kind is held against the care sheets. */
export function needsSheets({ kind }: Pick<Fact, 'kind'>): boolean {
  return kindNamed(kind)?.needsSheets === true
}

/** Why a fact, or what would replace one, cannot be of this house. */
export function objectionTo(
  { kind, payload }: Pick<Fact, 'kind' | 'payload'>,
  known: HouseKnown,
): Objection | null {
  return kindNamed(kind)?.objects?.(payload, known) ?? null
}
