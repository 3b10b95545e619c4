import type { Draft, ResidentState } from '@kobrin/core'
import { leftWithout } from '@kobrin/core'
import type { Ask, Exception } from './ask.ts'
import { t } from './words.ts'

interface Leaving {
  residentId: string
  lives: 'individual' | 'colony'
  state: ResidentState
  today: number
  /** The box that stands empty once it is gone. */
  boxLeft: string | null
}

/** Some of a colony died. With the last of them its box waits to be cleaned. */
function dying({ residentId, state, today, boxLeft }: Leaving): Ask {
  return {
    type: 'form',
    fields: [
      {
        name: 'count',
        label: t('howManyDied'),
        type: 'number',
        unit: t('animals'),
        whole: true,
        value: '',
        required: true,
      },
      { name: 'why', label: t('whatIsKnown'), type: 'text', value: '' },
    ],
    draft: ({ text, number }) => {
      const [count, why] = [number('count') ?? 1, text('why')]
      const died: Draft = {
        subject: residentId,
        kind: 'died',
        payload: { count, ...(why !== undefined && { why }) },
      }
      if (boxLeft === null || leftWithout(state.count, count, { how: 'died', day: today }) !== null)
        return died
      return [
        died,
        { subject: boxLeft, kind: 'vacated', payload: { resident: residentId, leaves: 'toClean' } },
      ]
    },
  }
}

/** It died, or it left the house: more has to be known than fits beside the board. */
export function leavingExceptions(one: Leaving): Exception[] {
  const page = (how: 'died' | 'rehomed', kind: 'died' | 'left'): Ask => ({
    type: 'page',
    to: { name: 'out', params: { id: one.residentId }, query: { how } },
    kind,
  })
  return [
    one.lives === 'colony'
      ? { id: 'someDied', key: '9', label: t('someDied'), ask: dying(one) }
      : { id: 'died', key: '9', label: t('died'), ask: page('died', 'died') },
    { id: 'left', key: '8', label: t('leftTheHouse'), ask: page('rehomed', 'left') },
  ]
}
