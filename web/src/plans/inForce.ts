import type { Override } from '@kobrin/core'

/** A change as it was signed, for a resident or for everyone on a sheet. */
export interface Signed {
  target: string
  number: number
  change: Override
}

/** What of a plan a change is about. */
function aboutOf({ patch, target, housing, light }: Override): string[] {
  return [
    ...(patch ? [`duty ${patch.id}`] : []),
    ...(target ? [`zone ${target.zone}`] : []),
    ...Object.keys(housing ?? {}).map((field) => `housing ${field}`),
    ...Object.keys(light ?? {}).map((field) => `light ${field}`),
  ]
}

export function isOver({ until, on }: Override, today: number): boolean {
  return (until !== undefined && until < today) || on > today
}

/** Changes that still say something: of two about one thing the resident's own holds before the sheet's, and the
 * later before the earlier. */
export function inForce(signed: readonly Signed[], residentId: string, today: number): Set<Signed> {
  const own = ({ target }: Signed) => Number(target === residentId)
  const strongest = [...signed]
    .filter(({ change }) => !isOver(change, today))
    .sort((a, b) => own(b) - own(a) || b.number - a.number)
  const spoken = new Set<string>()
  const force = new Set<Signed>()
  for (const one of strongest) {
    const about = aboutOf(one.change)
    if (about.some((thing) => !spoken.has(thing))) force.add(one)
    for (const thing of about) spoken.add(thing)
  }
  return force
}
