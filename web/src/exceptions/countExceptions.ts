import type { Draft, KeptFloor } from '@kobrin/core'
import { terms } from '../words/terms.ts'
import type { Ask, Exception } from './ask.ts'
import { choice, nothing } from './ask.ts'
import { t } from './words.ts'

const SCORES = [1, 2, 3, 4, 5] as const
type Became = 'recount' | 'resident' | 'waiting'
const BECAME: readonly { value: Became; label: string }[] = [
  { value: 'recount', label: t('putBackAndCounted') },
  { value: 'resident', label: t('aRecordOfTheir') },
  { value: 'waiting', label: t('leftInToLook') },
]

function counting(residentId: string): Ask {
  return {
    type: 'form',
    fields: [
      {
        name: 'count',
        label: t('counted'),
        type: 'number',
        unit: t('animals'),
        whole: true,
        orNone: true,
        value: '',
        required: true,
      },
      {
        name: 'expected',
        label: t('expected'),
        type: 'number',
        unit: t('animals'),
        whole: true,
        orNone: true,
        value: '',
      },
    ],
    draft: ({ number }) => {
      const expected = number('expected')
      const count = number('count') ?? 0
      return {
        subject: residentId,
        kind: 'counted',
        payload: { count, ...(expected !== undefined && { expected }) },
      }
    },
  }
}

function floorFound(residentId: string, floors: readonly KeptFloor[]): Ask {
  return {
    type: 'form',
    fields: [
      {
        name: 'floor',
        label: t('whichFloor'),
        type: 'select',
        value: floors[0]?.lot ?? '',
        options: floors.map(({ lot, floor }) => ({ value: lot, label: floor.where })),
      },
      {
        name: 'found',
        label: t('found'),
        type: 'select',
        value: 'babies',
        options: [
          { value: 'babies', label: 'babies' },
          { value: 'eggs', label: 'eggs' },
        ],
      },
      { name: 'count', label: t('howMany'), type: 'number', unit: t('animals'), whole: true, value: '' },
      { name: 'became', label: t('theyAre'), type: 'select', value: 'recount', options: BECAME },
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

/** Counting, the body's condition, and what turned up in old floor. */
export function countExceptions(residentId: string, floors: readonly KeptFloor[]): Exception[] {
  const condition = choice(
    SCORES.map((score) => ({
      label: `${score} ${terms.condition[score]}`,
      then: nothing({ subject: residentId, kind: 'condition', payload: { score } }),
    })),
  )
  const found: Exception[] =
    floors.length > 0
      ? [{ id: 'floor', key: '0', label: t('aliveInTheOld'), ask: floorFound(residentId, floors) }]
      : []
  return [
    { id: 'count', key: 'k', label: t('counted'), ask: counting(residentId) },
    { id: 'condition', key: 'q', label: t('bodyCondition'), ask: condition },
    ...found,
  ]
}
