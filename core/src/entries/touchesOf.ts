import type { Fact } from '../subjects/families.ts'
import { kindNamed } from '../subjects/families.ts'
import type { Touch } from '../subjects/kind.ts'

/** The other subjects that a fact, or what would replace it, is about as well. */
export function touchesOf({ kind, payload }: Pick<Fact, 'kind' | 'payload'>): Touch[] {
  return kindNamed(kind)?.touches?.(payload) ?? []
}

/** Whether a subject begins with a fact of this kind. */
export function founds({ kind }: Pick<Fact, 'kind'>): boolean {
  return kindNamed(kind)?.founds === true
}
