import type { Fact } from '@kobrin/core'

/** A picture as the record speaks of it. */
export interface Photographed {
  /** Of the entry. */
  uid: string
  photo: string
  day: number
  by: string
  note: string | undefined
}

/** The pictures of somebody, the oldest first. */
export function photosOf(facts: readonly Fact[]): Photographed[] {
  return facts.flatMap((fact) =>
    fact.kind === 'photographed'
      ? [{ uid: fact.uid, day: fact.day, by: fact.author, ...fact.payload, note: fact.payload.note }]
      : [],
  )
}
