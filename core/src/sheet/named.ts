import type { Sheet } from './sheet.ts'

export function hasStage(sheet: Pick<Sheet, 'stages'> | undefined, stage: string): boolean {
  return sheet?.stages.some(({ id }) => id === stage) ?? false
}

export function hasOption(
  sheet: Pick<Sheet, 'schools'> | undefined,
  school: string,
  option: string,
): boolean {
  return (
    sheet?.schools.some(({ id, options }) => id === school && options.some((one) => one.id === option)) ??
    false
  )
}
