import type { Draft, ResidentState } from '@kobrin/core'
import { leftWithout } from '@kobrin/core'
import type { Ask, Exception, Field } from './ask.ts'
import { t } from './words.ts'

interface Leaving {
  residentId: string
  lives: 'individual' | 'colony'
  state: ResidentState
  /** The box that stands empty once it is gone. */
  boxLeft: string | null
}

const WHY: Field = { name: 'why', label: t('whatIsKnown'), type: 'text', value: '' }

function howMany(lives: 'individual' | 'colony'): Field[] {
  if (lives === 'individual') return []
  const label = t('howManyLeaveEmpty')
  return [{ name: 'count', label, type: 'number', unit: t('animals'), whole: true, value: '' }]
}

/** With the last one gone its box waits to be cleaned. */
function withBox(
  gone: Draft,
  count: number | undefined,
  { residentId, state, boxLeft }: Leaving,
): readonly [Draft, ...Draft[]] {
  if (boxLeft === null || leftWithout(state, count) !== 0) return [gone]
  return [gone, { subject: boxLeft, kind: 'vacated', payload: { resident: residentId, leaves: 'toClean' } }]
}

function dying(one: Leaving): Ask {
  return {
    type: 'form',
    fields: [...howMany(one.lives), WHY],
    draft: ({ text, number }) => {
      const [count, why] = [number('count'), text('why')]
      const payload = { ...(count !== undefined && { count }), ...(why !== undefined && { why }) }
      return withBox({ subject: one.residentId, kind: 'died', payload }, count, one)
    },
  }
}

function leaving(one: Leaving): Ask {
  return {
    type: 'form',
    fields: [
      { name: 'to', label: t('toWhom'), type: 'text', value: '', required: true },
      ...howMany(one.lives),
      { name: 'why', label: t('why'), type: 'text', value: '' },
    ],
    draft: ({ text, number }) => {
      const [count, why] = [number('count'), text('why')]
      const payload = {
        to: text('to') ?? '…',
        ...(count !== undefined && { count }),
        ...(why !== undefined && { why }),
      }
      return withBox({ subject: one.residentId, kind: 'left', payload }, count, one)
    },
  }
}

/** It died, or it left the house. */
export function leavingExceptions(one: Leaving): Exception[] {
  return [
    { id: 'died', key: '9', label: t('died'), ask: dying(one) },
    { id: 'left', key: '8', label: t('leftTheHouse'), ask: leaving(one) },
  ]
}
