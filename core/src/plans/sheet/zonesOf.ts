import type { ZoneTarget } from './climate.ts'
import type { Fault } from './fault.ts'
import type { Sheet } from './sheet.ts'

/** A zone of a sheet and where it stands in it. */
export interface Zone {
  target: ZoneTarget
  path: Fault['path']
}

/** Every zone of a sheet as it is once it lies over the sheet's of the same name. */
export function zonesOf({ targets, stages, schools }: Sheet): Zone[] {
  const over = (patches: readonly ZoneTarget[], path: Fault['path']) =>
    patches.map((patch, index) => ({
      target: { ...targets.find(({ zone }) => zone === patch.zone), ...patch },
      path: [...path, 'targets', index],
    }))
  return [
    ...over(targets, []),
    ...stages.flatMap((stage, index) => over(stage.targets, ['stages', index])),
    ...schools.flatMap(({ options }, school) =>
      options.flatMap((option, index) => over(option.targets, ['schools', school, 'options', index])),
    ),
  ]
}
