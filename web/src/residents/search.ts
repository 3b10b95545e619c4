import type { Resident } from '../site/useSite.ts'

export interface Findable {
  resident: Resident
  species: string
  latin: string
  place: string
}

function plain(text: string): string {
  return text.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase()
}

function score(word: string, { resident, species, latin, place }: Findable): number {
  const name = plain(resident.name)
  const number = resident.accession.replace(/^0+/, '')
  if (name === word || resident.accession === word || number === word) return 5
  if (name.startsWith(word)) return 4
  if (resident.accession.startsWith(word) || number.startsWith(word)) return 3
  if (
    plain(species)
      .split(/\s/)
      .some((part) => part.startsWith(word)) ||
    name.includes(word)
  )
    return 2
  return plain(`${species} ${latin} ${place}`).includes(word) ? 1 : 0
}

/** Residents that match every word by name, accession number, species or place; the nearest first. */
export function findResidents(query: string, all: readonly Findable[]): Findable[] {
  const asked = plain(query).split(/\s+/).filter(Boolean)
  if (asked.length === 0) return [...all]
  const found: { one: Findable; total: number }[] = []
  for (const one of all) {
    const scores = asked.map((word) => score(word, one))
    if (scores.every((points) => points > 0))
      found.push({ one, total: scores.reduce((sum, points) => sum + points, 0) })
  }
  return found
    .sort((a, b) => b.total - a.total || a.one.resident.accession.localeCompare(b.one.resident.accession))
    .map(({ one }) => one)
}
