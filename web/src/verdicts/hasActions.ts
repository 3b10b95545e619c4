import type { Verdict } from '@kobrin/core'

const CLOSED_HERE: ReadonlySet<Verdict['what']['code']> = new Set([
  'unaccounted',
  'floorReady',
  'floorWaits',
  'stageReached',
  'condition',
  'postMortemOpen',
  'bodyWaits',
  'dueBack',
  'permitEnds',
])

/** Whether a verdict is something a person closes or decides, rather than something to know. */
export function hasActions({ what }: Verdict): boolean {
  return CLOSED_HERE.has(what.code)
}
