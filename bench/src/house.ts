import { fileURLToPath } from 'node:url'
import type { SiteSeed } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import { collection } from '@kobrin/demo'
import { openHouse, readLibrary } from '@kobrin/server'
import { v7 as uuidv7 } from 'uuid'
import { LONG_RECORD, RESIDENTS } from './sizes.ts'

/** A large collection in which the first resident has been weighed again and again. */
function withLongRecord(nowMs: number): SiteSeed {
  const seed = collection({ sheets: readLibrary(), residents: RESIDENTS, days: 6, nowMs })
  const [first] = seed.residents
  const arrived = seed.entries.findLast(({ subject, kind }) => subject === first?.id && kind === 'arrived')
  if (!first || !arrived) throw new Error('Nobody lives here.')
  const had = seed.entries.filter(({ subject }) => subject === first.id).length
  const from = Date.parse(arrived.occurredAt)
  const weights = Array.from({ length: LONG_RECORD - had }, (_, index): Entry => ({
    uid: uuidv7(),
    subject: first.id,
    kind: 'weighed',
    occurredAt: new Date(from + (index + 1) * 1000).toISOString(),
    day: arrived.day,
    author: arrived.author,
    payload: { grams: 60 + (index % 7) / 10 },
  }))
  return { ...seed, entries: [...seed.entries, ...weights] }
}

await openHouse({
  seed: withLongRecord,
  pages: fileURLToPath(new URL('../../web/dist', import.meta.url)),
})
