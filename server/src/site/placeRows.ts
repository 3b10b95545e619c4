import type { Bay, Enclosure, Room } from '@kobrin/contract'
import type { Register } from '@kobrin/core'

// What is told of the building, as rows: a whole house is written so, wherever it comes from.

export function roomRow({ order, celsius, ...room }: Room) {
  return { ...room, walkOrder: order, coolest: celsius?.[0] ?? null, warmest: celsius?.[1] ?? null }
}

export function bayRow<B extends Pick<Bay, 'order'>>({ order, ...bay }: B) {
  return { ...bay, walkOrder: order }
}

export function boxRow<B extends Pick<Enclosure, 'row' | 'column'>>({ row, column, ...box }: B) {
  return { ...box, shelf: row, slot: column }
}

/** The line of a resident under its number. */
export function residentRow(id: string, accession: string, { name, sheet, stage, schools }: Register) {
  return { id, accession, name, sheetId: sheet, stage, schools }
}
