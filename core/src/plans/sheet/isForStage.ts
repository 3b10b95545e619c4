/** Whether something of a sheet is for a stage: for all of them where it names none. */
export function isForStage({ stages }: { stages?: readonly string[] | undefined }, stage: string): boolean {
  return !stages || stages.includes(stage)
}
