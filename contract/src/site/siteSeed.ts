import type { Entry, Override, Role, Sheet } from '@kobrin/core'
import type { Bay, Enclosure, Room } from './site.ts'

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

/** Everything needed to set up a site at once: what an import or the demonstration hands to the server.
 * Who lives there is in the entries. */
export interface SiteSeed {
  name: string
  zone: string
  schools: Record<string, Record<string, string>>
  rooms: Room[]
  bays: Omit<Bay, 'widthMm' | 'version'>[]
  enclosures: Omit<Enclosure, 'retired'>[]
  people: SeedPerson[]
  sheets: Sheet[]
  /** Signed changes by sheet id or resident id. */
  overrides: { target: string; change: Override }[]
  /** In the order in which they were recorded. */
  entries: Entry[]
}
