import type { Payload } from '@kobrin/core'
import type { Ask, Exception, ExceptionsFor } from '../exceptions/ask.ts'
import { choice } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { sayPoint, sayValue, unitOf } from '../words/readings.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'
import { sayDampened, sayWatered } from './care.ts'

function sayTended(payload: Payload<'tended'>): string {
  switch (payload.does) {
    case 'water':
      return sayWatered(payload)
    case 'dampen':
      return sayDampened(payload)
    case 'clean':
      return payload.scope === 'full' ? t('fullClean') : t('spotCleaned')
    case 'check':
      return t('inspected')
  }
}

function asking({ residentId: resident, points }: ExceptionsFor, home: string): Ask {
  return choice(
    points.map(({ zone, what }) => ({
      label: sayPoint({ zone, what }),
      then: {
        type: 'number',
        label: sayPoint({ zone, what }),
        unit: unitOf(what),
        draft: (value) => ({ subject: home, kind: 'reading', payload: { zone, what, value, resident } }),
      },
    })),
  )
}

/** What an instrument shows at a zone of the enclosure. */
function readingOffered(one: ExceptionsFor): Exception[] {
  if (one.home === null || one.points.length === 0) return []
  return [{ id: 'reading', key: '7', label: asks('reading'), ask: asking(one, one.home) }]
}

/** What happened to a place. */
export const places = {
  vacated: { says: ({ leaves }) => (leaves === 'toClean' ? t('movedOutOfTo') : t('movedOutOfFloor')) },
  readied: { says: ({ floor }) => (floor === 'kept' ? t('emptiedFloorKept') : t('cleaned')) },
  reading: {
    says: ({ zone, what, value }) => `${zone}: ${sayValue(what, value)}`,
    offers: readingOffered,
  },
  tended: { says: sayTended },
} satisfies KindsHere
