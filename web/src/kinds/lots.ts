import type { Draft } from '@kobrin/core'
import type { Ask, ExceptionsFor } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'
import { withWhy } from './kind.ts'

type Became = 'recount' | 'resident' | 'waiting'
const BECAME: readonly { value: Became; label: string }[] = [
  { value: 'recount', label: asks('putBackAndCounted') },
  { value: 'resident', label: asks('aRecordOfTheir') },
  { value: 'waiting', label: asks('leftInToLook') },
]

function floorFound({ residentId, floors }: ExceptionsFor): Ask {
  return {
    type: 'form',
    fields: [
      {
        name: 'floor',
        label: asks('whichFloor'),
        type: 'select',
        value: floors[0]?.lot ?? '',
        options: floors.map(({ lot, floor }) => ({ value: lot, label: floor.where })),
      },
      {
        name: 'found',
        label: asks('found'),
        type: 'select',
        value: 'babies',
        options: [
          { value: 'babies', label: 'babies' },
          { value: 'eggs', label: 'eggs' },
        ],
      },
      {
        name: 'count',
        label: asks('howMany'),
        type: 'number',
        unit: asks('animals'),
        whole: true,
        value: '',
      },
      { name: 'became', label: asks('theyAre'), type: 'select', value: 'recount', options: BECAME },
    ],
    draft: ({ text, number }) => {
      const count = number('count')
      const became = BECAME.find(({ value }) => value === text('became'))?.value
      const lot = text('floor') ?? floors[0]?.lot ?? ''
      const looked: Draft = {
        subject: lot,
        kind: 'floorChecked',
        payload: {
          found: text('found') === 'eggs' ? 'eggs' : 'babies',
          ...(count !== undefined && { count }),
          ...(became && { became }),
        },
      }
      if (became !== 'recount' || count === undefined) return looked
      // Put back with the rest: that the colony grew is a fact of the colony.
      return [looked, { subject: residentId, kind: 'gained', payload: { count, lot } }]
    },
  }
}

/** Batches: so far old floor that was put aside. */
export const lots = {
  floorKept: { says: ({ at }) => t('oldFloorPutAside', { at }) },
  floorChecked: {
    says: ({ found, count }) =>
      found === 'nothing'
        ? t('oldFloorNothingAlive')
        : count === undefined
          ? t('oldFloorSome', { found })
          : t('oldFloorSomeCounted', { animals: count, found }),
    offers: (one) =>
      one.floors.length > 0
        ? [{ id: 'floor', key: '0', label: asks('aliveInTheOld'), ask: floorFound(one) }]
        : [],
  },
  floorDisposed: { says: ({ why }) => withWhy(t('oldFloorThrownAway'), why) },
} satisfies KindsHere
