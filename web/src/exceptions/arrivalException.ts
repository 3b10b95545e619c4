import type { Exception } from './ask.ts'
import { nothing } from './ask.ts'
import { t } from './words.ts'

/** Somebody who was expected is here; until then nothing else can be said of it. */
export function arrivalException(residentId: string, enclosure: string): Exception {
  return {
    id: 'arrived',
    key: 'a',
    label: t('itIsHereNow'),
    ask: nothing({ subject: residentId, kind: 'arrived', payload: { enclosure } }),
  }
}
