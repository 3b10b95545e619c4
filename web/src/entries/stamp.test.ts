import { createHmac } from 'node:crypto'
import { provenText } from '@kobrin/contract'
import { expect, it } from 'vitest'
import { entryOn, TODAY } from '../testing/residents.ts'
import { posted } from './deliver.ts'
import { stamped } from './stamp.ts'

it('is what the server makes of the same entry with the same key', async () => {
  const entry = posted(entryOn(TODAY, { kind: 'noted', payload: { text: 'Così, 5\u00a0% \u{1f40d}' } }))
  const proof = await stamped(entry, { id: 'shift', key: 'a key' })
  const mac = createHmac('sha256', 'a key').update(provenText(entry)).digest('hex')
  expect(proof).toEqual({ shift: 'shift', mac })
})
