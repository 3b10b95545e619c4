import type { DutyPatch, Override } from '@kobrin/core'
import { words } from './en.ts'
import { sayGrams } from './measures.ts'
import { t } from './facts.ts'
import { sayCadence } from './cadence.ts'

/** A field of the plan as a keeper reads it: floorDepthMm is the floor depth. */
function sayField(field: string): string {
  return field.replace(/(Mm|Cm2)$/, '').replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
}

/** A duty as a change names it: by its kind where it is called so, else in words. */
function sayDutyId(id: string): string {
  const kinds: Readonly<Record<string, string>> = words.duty
  const [only, number] = id.split(':')
  const named = sayField(only ?? id)
  return kinds[id] ?? `${named.charAt(0).toUpperCase()}${named.slice(1)}${number ? ` ${number}` : ''}`
}

function sayPatch(patch: DutyPatch): string {
  if ('drop' in patch) return t('noLonger', { id: sayDutyId(patch.id) })
  const { id, cadence, amount, ...rest } = patch
  const says = [
    cadence && sayCadence(cadence),
    amount?.by === 'portion'
      ? t('aboutG', { grams: sayGrams(Math.round(amount.grams)) })
      : amount && t('anotherAmount'),
    ...Object.keys(rest).map(sayField),
  ]
  return `${sayDutyId(id)}: ${says.filter(Boolean).join(', ')}`
}

/** What a signed change is about, in a few words. */
export function sayOverride({ patch, target, housing, light }: Override): string {
  const parts = [
    patch && sayPatch(patch),
    target && t('climate', { zone: target.zone }),
    housing && t('enclosure', { keys: Object.keys(housing).map(sayField).join(', ') }),
    light && t('light', { keys: Object.keys(light).map(sayField).join(', ') }),
  ]
  return parts.filter(Boolean).join('; ')
}
