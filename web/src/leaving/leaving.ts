import type { Disposal, Draft, LeftAs, Payload } from '@kobrin/core'
import type { PlaceLeft } from '../moving/placeLeft.ts'
import { placeLeftDrafts, wrongWithPlace } from '../moving/placeLeft.ts'
import { t } from './words.ts'

export type How = 'died' | LeftAs | 'lost' | 'merged'

/** How somebody goes, as it stands in the form. */
export interface Leaving extends PlaceLeft {
  how: How
  /** Of a colony: so many of it; null is all of it. */
  count: number | null
  why: string
  to: string
  dueBack: number | null
  foundBy: string
  lastAlive: number | null
  postMortem: boolean
  disposal: Disposal
  into: string
}

/** What has to be known besides. */
export interface Leaver {
  residentId: string
  from: string | undefined
  /** Who lives in the same box. */
  mates: readonly string[]
  /** How many it is, as far as anybody counted. */
  known: number | null
  isColony: boolean
  /** Who is at work here. */
  author: string
  today: number
}

/** Whether somebody goes to others, and not only away. */
export function isLeft(how: How): how is LeftAs {
  return how === 'rehomed' || how === 'lent' || how === 'givenBack' || how === 'released'
}

/** Whether nobody of it stays. */
export function isAll({ how, count }: Leaving, { known }: Leaver): boolean {
  return how === 'lost' || how === 'merged' || count === null || (known !== null && count >= known)
}

/** What it lacks that it could be kept without, by field. */
export function wrongWithLeaving(leaving: Leaving, leaver: Leaver): Record<string, string> {
  const { how, to, why, into, dueBack, lastAlive, count } = leaving
  const wrong: Record<string, string> = {}
  if (isLeft(how) && to.trim() === '') wrong['to'] = how === 'released' ? t('sayWhere') : t('sayToWhom')
  if (how === 'released' && why.trim() === '') wrong['why'] = t('sayWhatAllowsIt')
  if (how === 'lost' && why.trim() === '') wrong['why'] = t('sayWhatWasTried')
  if (how === 'lent' && dueBack !== null && dueBack < leaver.today) wrong['dueBack'] = t('isToCome')
  if (how === 'died' && lastAlive !== null && lastAlive > leaver.today)
    wrong['lastAlive'] = t('isStillToCome')
  if (how === 'merged' && into === '') wrong['into'] = t('chooseWithWhom')
  if (how === 'merged' && leaver.isColony && (count ?? leaver.known) === null)
    wrong['count'] = t('aboutHowMany')
  const othersStay = leaver.mates.length > 0 || !isAll(leaving, leaver)
  return { ...wrong, ...wrongWithPlace(leaving, othersStay) }
}

function death(leaving: Leaving, { residentId, author }: Leaver): Draft {
  const { count, foundBy, lastAlive, postMortem, disposal } = leaving
  const why = leaving.why.trim()
  const payload: Payload<'died'> = {
    ...(count !== null && { count }),
    ...(why && { why }),
    ...(foundBy && foundBy !== author && { foundBy }),
    ...(lastAlive !== null && { lastAlive }),
    ...(postMortem && { postMortem }),
    disposal,
  }
  return { subject: residentId, kind: 'died', payload }
}

function departure(leaving: Leaving, as: LeftAs, { residentId }: Leaver): Draft {
  const { count, to, dueBack } = leaving
  const why = leaving.why.trim()
  const payload: Payload<'left'> = {
    to: to.trim(),
    as,
    ...(count !== null && { count }),
    ...(why && { why }),
    ...(as === 'lent' && dueBack !== null && { dueBack }),
  }
  return { subject: residentId, kind: 'left', payload }
}

function ending(leaving: Leaving, leaver: Leaver): Draft[] {
  const { how, into, count } = leaving
  const { residentId: subject, known, mates } = leaver
  const why = leaving.why.trim()
  if (isLeft(how)) return [departure(leaving, how, leaver)]
  switch (how) {
    case 'died':
      return [
        death(leaving, leaver),
        // What killed one may take the next.
        ...mates.map((mate): Draft => ({
          subject: mate,
          kind: 'companionDied',
          payload: { companion: subject },
        })),
      ]
    case 'lost':
      return [{ subject, kind: 'lost', payload: { why } }]
    case 'merged':
      return [
        { subject, kind: 'merged', payload: { into, ...(why && { why }) } },
        { subject: into, kind: 'gained', payload: { count: count ?? known ?? 1, from: subject } },
      ]
  }
}

/** What a leaving records, in one doing: how it went; a look at each that shared its box with one that died; and
 * what becomes of the box where nobody stays in it. */
export function leavingDrafts(leaving: Leaving, leaver: Leaver, newLot: () => string): Draft[] {
  const gone = ending(leaving, leaver)
  const { from, mates, residentId: resident } = leaver
  if (from === undefined || mates.length > 0 || !isAll(leaving, leaver)) return gone
  return [...gone, ...placeLeftDrafts(leaving, { resident, from, newLot })]
}
