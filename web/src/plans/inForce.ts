import type { Override } from '@kobrin/core'
import { inForceOn } from '@kobrin/core'

/** A change as it was signed, for a resident or for everyone on a sheet. */
export interface Signed {
  target: string
  number: number
  change: Override
}

function fieldsOf(part: object = {}): string[] {
  return Object.keys(part)
}

/** What of a plan a change is about: the fields it names, or a duty whole where it takes it away. */
function aboutOf({ patch, target, housing, light }: Override): string[] {
  const { id, ...duty } = patch ?? { id: '' }
  const { zone, ...climate } = target ?? { zone: '' }
  return [
    ...('drop' in duty ? [`duty ${id}`] : fieldsOf(duty).map((field) => `duty ${id} ${field}`)),
    ...fieldsOf(climate).map((field) => `zone ${zone} ${field}`),
    ...fieldsOf(housing).map((field) => `housing ${field}`),
    ...fieldsOf(light).map((field) => `light ${field}`),
  ]
}

/** Changes that still say something: of two about one thing it is the one that the plan is made with, the
 * resident's own before the sheet's and the later before the earlier. */
export function inForce(signed: readonly Signed[], residentId: string, today: number): Set<Signed> {
  const inOrder = (mine: boolean) =>
    inForceOn(
      signed.filter(({ target }) => (target === residentId) === mine).map(({ change }) => change),
      today,
    )
  const bySigned = new Map(signed.map((one) => [one.change, one]))
  const spoken: string[] = []
  const isSpoken = (thing: string) => spoken.some((one) => thing === one || thing.startsWith(`${one} `))
  const force = new Set<Signed>()
  for (const change of [...inOrder(false), ...inOrder(true)].reverse()) {
    const about = aboutOf(change)
    const one = bySigned.get(change)
    if (one && !about.every(isSpoken)) force.add(one)
    spoken.push(...about)
  }
  return force
}
