import type { DutyPatch, Override } from '@kobrin/core'
import { terms } from './terms.ts'

/** A field of the plan as a keeper reads it: floorDepthMm is the floor depth. */
function sayField(field: string): string {
  return field.replace(/(Mm|Cm2)$/, '').replaceAll(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
}

function sayPatch(patch: DutyPatch): string {
  if ('drop' in patch) return `${patch.id}: no longer`
  const { id, cadence, amount, ...rest } = patch
  const says = [
    cadence && terms.cadence(cadence),
    amount?.by === 'portion' ? `about ${Math.round(amount.grams)} g` : amount && 'another amount',
    ...Object.keys(rest),
  ]
  return `${id}: ${says.filter(Boolean).join(', ')}`
}

/** What a signed change is about, in a few words. */
export function sayOverride({ patch, target, housing, light }: Override): string {
  const parts = [
    patch && sayPatch(patch),
    target && `climate, ${target.zone}`,
    housing && `enclosure: ${Object.keys(housing).map(sayField).join(', ')}`,
    light && `light: ${Object.keys(light).map(sayField).join(', ')}`,
  ]
  return parts.filter(Boolean).join('; ')
}
