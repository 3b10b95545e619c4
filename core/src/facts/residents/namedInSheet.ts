import type { SheetNames } from '../subjects/kind.ts'

export function hasStage(sheet: SheetNames | undefined, stage: string): boolean {
  return sheet?.stages.some(({ id }) => id === stage) ?? false
}

export function hasOption(sheet: SheetNames | undefined, school: string, option: string): boolean {
  return (
    sheet?.schools.some(({ id, options }) => id === school && options.some((one) => one.id === option)) ??
    false
  )
}
