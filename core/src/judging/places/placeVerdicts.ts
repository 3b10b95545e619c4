import type { Verdict } from '../verdicts/verdict.ts'
import type { PlaceState } from '../../facts/places/placeState.ts'

/** What a place waits for. While somebody lives in it, nothing: a keeper who moved an animal back in found it fit. */
export function placeVerdicts({ waits }: PlaceState, isLivedIn: boolean): Verdict[] {
  if (!waits || isLivedIn) return []
  const { resident, leaves, day, by } = waits
  return [
    {
      severity: 'watch',
      what: { code: 'vacated', leaves, resident, day },
      because: [{ fact: 'vacated', by, day }],
    },
  ]
}
