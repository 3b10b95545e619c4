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

/** Its number without the zeros nobody types. */
function numberOf({ accession }: Resident): string {
  return accession.replace(/^0+/, '')
}

/** More than any sum of words: who is called exactly that, or has that number, comes first, and then whose name begins
 * so. */
function asWhole(query: string, { resident }: Findable): number {
  const name = plain(resident.name)
  if (name === query || resident.accession === query || numberOf(resident) === query) return 2_000
  return name.startsWith(query) ? 1_000 : 0
}

function score(word: string, { resident, species, latin, place }: Findable): number {
  const name = plain(resident.name)
  const number = numberOf(resident)
  if (name === word || resident.accession === word || number === word) return 5
  if (name.split(/\s+/).some((part) => part.startsWith(word))) return 4
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
  const whole = asked.join(' ')
  if (asked.length === 0) return [...all]
  const found: { one: Findable; total: number }[] = []
  for (const one of all) {
    const scores = asked.map((word) => score(word, one))
    if (scores.every((points) => points > 0))
      found.push({ one, total: scores.reduce((sum, points) => sum + points, asWhole(whole, one)) })
  }
  return found
    .sort((a, b) => b.total - a.total || a.one.resident.accession.localeCompare(b.one.resident.accession))
    .map(({ one }) => one)
}
