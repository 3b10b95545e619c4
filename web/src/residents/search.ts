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

/** What somebody can be found by, as it is compared. */
interface Plain {
  name: string
  nameParts: string[]
  accession: string
  /** Without the zeros nobody types. */
  number: string
  speciesParts: string[]
  rest: string
}

const read = new WeakMap<Findable, Plain>()

/** Worked out once: a search reads it at every key. */
function plainOf(one: Findable): Plain {
  const known = read.get(one)
  if (known) return known
  const { resident, species, latin, place } = one
  const name = plain(resident.name)
  const made: Plain = {
    name,
    nameParts: name.split(/\s+/),
    accession: resident.accession,
    number: resident.accession.replace(/^0+/, ''),
    speciesParts: plain(species).split(/\s/),
    rest: plain(`${species} ${latin} ${place}`),
  }
  read.set(one, made)
  return made
}

/** More than any sum of words: who is called exactly that, or has that number, comes first, and then whose name begins
 * so. */
function asWhole(query: string, { name, accession, number }: Plain): number {
  if (name === query || accession === query || number === query) return 2_000
  return name.startsWith(query) ? 1_000 : 0
}

function score(word: string, { name, nameParts, accession, number, speciesParts, rest }: Plain): number {
  if (name === word || accession === word || number === word) return 5
  if (nameParts.some((part) => part.startsWith(word))) return 4
  if (accession.startsWith(word) || number.startsWith(word)) return 3
  if (speciesParts.some((part) => part.startsWith(word)) || name.includes(word)) return 2
  return rest.includes(word) ? 1 : 0
}

/** Residents that match every word by name, accession number, species or place; the nearest first. */
export function findResidents(query: string, all: readonly Findable[]): Findable[] {
  const asked = plain(query).split(/\s+/).filter(Boolean)
  const whole = asked.join(' ')
  if (asked.length === 0) return [...all]
  const found: { one: Findable; total: number }[] = []
  for (const one of all) {
    const named = plainOf(one)
    const scores = asked.map((word) => score(word, named))
    if (scores.every((points) => points > 0))
      found.push({ one, total: scores.reduce((sum, points) => sum + points, asWhole(whole, named)) })
  }
  return found
    .sort((a, b) => b.total - a.total || a.one.resident.accession.localeCompare(b.one.resident.accession))
    .map(({ one }) => one)
}
