import type { Entry, Override, Sheet } from '@kobrin/core'
import type { Role } from '../people/roles.ts'
import type { Bay, Enclosure, Resident, Room } from './site.ts'

export interface SeedPerson {
  id: string
  login: string
  name: string
  initials: string
  role: Role
  passphrase: string
  pin: string | null
  competences: string[]
}

export interface SeedResident extends Omit<Resident, 'plan' | 'lives'> {
  schools: Record<string, string>
}

/** Everything needed to set up a site at once: what an import or the demonstration hands to the server. */
export interface SiteSeed {
  name: string
  zone: string
  schools: Record<string, Record<string, string>>
  rooms: Room[]
  bays: Bay[]
  enclosures: Enclosure[]
  residents: SeedResident[]
  people: SeedPerson[]
  sheets: Sheet[]
  /** Signed changes by sheet id or resident id. */
  overrides: { target: string; change: Override }[]
  /** In the order in which they were recorded. */
  entries: Entry[]
}
