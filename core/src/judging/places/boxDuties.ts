import { FULL_CLEAN } from '../../facts/cleaning/cleaned.ts'
import type { Duty } from '../../plans/plan/duty.ts'
import type { Plan } from '../../plans/plan/plan.ts'
import type { ResidentState } from '../../facts/residents/residentState.ts'
import type { Mark } from '../../facts/subjects/mark.ts'
import { own } from '../../facts/subjects/own.ts'
import type { DoneInBox, PlaceState } from '../../facts/places/placeState.ts'

/** Whether a duty is done to the box and not to the animal: once for all who live there. A bath is done to the animal. */
export function isOfBox({ does, effects = [] }: Pick<Duty, 'does' | 'effects'>): boolean {
  if (does === 'water') return !effects.includes('bathing') && !effects.includes('handling')
  return does === 'clean' || does === 'dampen' || does === 'check'
}

/** Under which a duty of the box is kept: the key tells apart the lists of checks of two sheets. Null for a duty that is
 * not of the box. */
export function boxKey(
  { id, does, effects }: Pick<Duty, 'id' | 'does' | 'effects'>,
  { sheet }: Pick<Plan, 'sheet'>,
): string | null {
  if (!isOfBox({ does, effects })) return null
  return does === 'check' ? `${id} ${sheet}` : id
}

function later(one: Mark | undefined, other: Mark | undefined): Mark | undefined {
  return one && other ? (one.at < other.at ? other : one) : (one ?? other)
}

/** What was done of a duty for a resident in the box it lives in: what was done before it moved was done to another
 * one. */
function ownMark({ done, stay: { place } }: ResidentState, id: string): Mark | undefined {
  const mark = own(done, id)
  return mark && place && mark.at < place.at ? undefined : mark
}

/** When a duty of the box was last seen to: as a fact of the box, or said of a tenant. A full clean does
 * what every lesser clean does. */
export function lastInBox(
  duty: Pick<Duty, 'id' | 'does'>,
  key: string,
  { state, box }: { state: ResidentState; box: DoneInBox },
): Mark | undefined {
  const mark = later(own(box, key), ownMark(state, duty.id))
  if (duty.does !== 'clean') return mark
  return later(mark, later(own(box, FULL_CLEAN), ownMark(state, FULL_CLEAN)))
}

interface Tenant {
  state: ResidentState
  plan: Plan
}

/** When the duties of a box were last seen to, no matter which tenant it was said of. */
export function doneInBox(
  place: Pick<PlaceState, 'done'> | undefined,
  tenants: readonly Tenant[],
): DoneInBox {
  // One that lives alone says it of itself.
  if (tenants.length < 2) return place?.done ?? {}
  const done = new Map(Object.entries(place?.done ?? {}))
  for (const { state, plan } of tenants)
    for (const duty of plan.duties) {
      const key = boxKey(duty, plan)
      const mark = key === null ? undefined : later(done.get(key), ownMark(state, duty.id))
      if (key !== null && mark) done.set(key, mark)
    }
  return Object.fromEntries(done)
}
