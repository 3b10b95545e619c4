import { fileURLToPath } from 'node:url'
import type { Entry } from '@kobrin/core'
import { collection } from '@kobrin/demo'
import { openHouse, readLibrary } from '@kobrin/server'
import { v7 as uuidv7 } from 'uuid'
import { LONG_RECORD, RESIDENTS } from './sizes.ts'

const seed = collection({ sheets: readLibrary(), residents: RESIDENTS, days: 6, nowMs: Date.now() })

// The first resident has been weighed again and again.
const [first] = seed.residents
const arrived = seed.entries.find(({ residentId }) => residentId === first?.id)
if (!first || !arrived) throw new Error('Nobody lives here.')
const had = seed.entries.filter(({ residentId }) => residentId === first.id).length
const from = Date.parse(arrived.occurredAt)
const weights = Array.from({ length: LONG_RECORD - had }, (_, index): Entry => ({
  uid: uuidv7(),
  residentId: first.id,
  kind: 'weighed',
  occurredAt: new Date(from + (index + 1) * 1000).toISOString(),
  day: arrived.day,
  author: arrived.author,
  payload: { grams: 60 + (index % 7) / 10 },
}))

await openHouse({
  seed: { ...seed, entries: [...seed.entries, ...weights] },
  dataDir: process.argv[2] ?? '',
  pages: fileURLToPath(new URL('../../web/dist', import.meta.url)),
})
