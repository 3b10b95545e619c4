import type { Cadence } from '@kobrin/core'
import { sayWeekday } from './numbers.ts'
import { sayAll } from './sayAll.ts'
import { t } from './facts.ts'

/** How often something is done. */
export function sayCadence(cadence: Cadence): string {
  switch (cadence.type) {
    case 'every': {
      const every = cadence.days === 1 ? t('everyDay') : t('everySomeDays', { count: cadence.days })
      return cadence.tolerance > 0 ? t('everySomeDaysAbout', { every, count: cadence.tolerance }) : every
    }
    case 'weekdays':
      return t('onWeekdays', { weekdays: sayAll(cadence.on.map((on) => sayWeekday(on))) })
    case 'perWeek':
      return cadence.times === 1 ? t('onceAWeek') : t('timesAWeek', { count: cadence.times })
    case 'whenEmpty':
      return t('whenEmpty', { count: cadence.lookEvery })
    case 'once':
      return t('once')
    case 'after':
      return t('daysAfter', { count: cadence.days, event: cadence.event })
  }
}
