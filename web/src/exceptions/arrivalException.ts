import type { Exception } from './ask.ts'
import { nothing } from './ask.ts'

/** Somebody who was expected is here; until then nothing else can be said of it. */
export function arrivalException(residentId: string, enclosure: string): Exception {
  return {
    id: 'arrived',
    key: 'a',
    label: 'It is here now',
    ask: nothing({ subject: residentId, kind: 'arrived', payload: { enclosure } }),
  }
}
