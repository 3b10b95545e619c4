import type { Point } from '@kobrin/core'
import { sayPoint, unitOf } from '../words/readings.ts'
import type { Ask, Exception } from './ask.ts'
import { choice } from './ask.ts'
import { t } from './words.ts'

export interface ReadHere {
  residentId: string
  /** The enclosure it lives in; null while it lives nowhere. */
  home: string | null
  /** What its plan says something of. */
  points: readonly Point[]
}

function asking({ residentId: resident, points }: ReadHere, home: string): Ask {
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
export function readingException(here: ReadHere): Exception[] {
  if (here.home === null || here.points.length === 0) return []
  return [{ id: 'reading', key: '7', label: t('reading'), ask: asking(here, here.home) }]
}
