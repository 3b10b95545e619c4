import type { Draft, Payload } from '@kobrin/core'
import { isComing, leftWithout } from '@kobrin/core'
import type { Ask, Exception, ExceptionsFor } from '../exceptions/ask.ts'
import { nothing } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { terms } from '../words/terms.ts'
import { sayDate, sayDateTo } from '../words/numbers.ts'
import { sayAll } from '../words/sayAll.ts'
import { t } from '../words/facts.ts'
import type { About, KindsHere } from './kind.ts'
import { withWhy } from './kind.ts'

function sayDeath(payload: Payload<'died'>, { today, who }: About): string {
  const { count, why, foundBy, lastAlive, postMortem, disposal } = payload
  let says = withWhy(count === undefined ? t('diedEntry') : t('someDied', { count }), why)
  if (lastAlive !== undefined) says = t('lastSeenAlive', { says, date: sayDate(lastAlive, today) })
  if (foundBy !== undefined) says = t('diedFoundBy', { says, name: who(foundBy) })
  if (postMortem) says = t('askedToLookInto', { says })
  return disposal === undefined ? says : `${says}. ${t('bodyEntry', { disposal: terms.disposal[disposal] })}`
}

function sayLeft({ count, why, to, as, dueBack }: Payload<'left'>, { today }: About): string {
  const gone =
    count === undefined
      ? t('leftTo', { as: as === undefined ? t('leftEntry') : terms.leftAs[as], to })
      : t('someLeftTo', { count, to })
  const says = dueBack === undefined ? gone : t('backOn', { says: gone, date: sayDate(dueBack, today) })
  return withWhy(says, why)
}

function sayDescribed(
  { origin, parents, marks, chip, pale }: Payload<'described'>,
  { resident }: About,
): string {
  const known = [
    ...(origin === undefined ? [] : [terms.origin[origin]]),
    ...(parents?.length ? [t('youngOf', { names: sayAll(parents.map(resident)) })] : []),
    ...(chip === undefined ? [] : [t('chipNumber', { chip })]),
    ...(marks === undefined ? [] : [marks]),
    ...(pale === undefined ? [] : [t(pale ? 'pale' : 'notPale')]),
  ]
  return t('describedAs', { words: known.join('; ') })
}

function sayArrived(
  { source, how, of, hereSince, hereTo }: Payload<'arrived'>,
  { resident, today }: About,
): string {
  if (hereSince !== undefined) {
    const here =
      hereSince === null
        ? t('hereBefore')
        : t('hereBeforeSince', { date: sayDateTo(hereSince, hereTo, today) })
    return withWhy(here, source)
  }
  if (of !== undefined) return t(`${how ?? 'brought'}HereOf`, { name: resident(of) })
  return source ? t('arrivedFrom', { source }) : t('arrivedEntry')
}

/** Some of a colony died. With the last of them its box waits to be cleaned. */
function dying({ residentId, state, today, boxLeft }: ExceptionsFor): Ask {
  return {
    type: 'form',
    fields: [
      {
        name: 'count',
        label: asks('howManyDied'),
        type: 'number',
        unit: asks('animals'),
        whole: true,
        value: '',
        required: true,
      },
      { name: 'why', label: asks('whatIsKnown'), type: 'text', value: '' },
    ],
    draft: ({ text, number }) => {
      const [count, why] = [number('count') ?? 1, text('why')]
      const died: Draft = {
        subject: residentId,
        kind: 'died',
        payload: { count, ...(why !== undefined && { why }) },
      }
      if (boxLeft === null || leftWithout(state.count, count, { how: 'died', day: today }) !== null)
        return died
      return [
        died,
        { subject: boxLeft, kind: 'vacated', payload: { resident: residentId, leaves: 'toClean' } },
      ]
    },
  }
}

/** More has to be known than fits beside the board. */
function pageOut({ residentId }: ExceptionsFor, how: 'died' | 'rehomed', kind: 'died' | 'left'): Ask {
  return { type: 'page', to: { name: 'out', params: { id: residentId }, query: { how } }, kind }
}

function deathOffered(one: ExceptionsFor): Exception[] {
  return one.lives === 'colony'
    ? [{ id: 'someDied', key: '9', label: asks('someDied'), ask: dying(one) }]
    : [{ id: 'died', key: '9', label: asks('died'), ask: pageOut(one, 'died', 'died') }]
}

/** Somebody who was expected is here. */
function arrivalOffered({ residentId, state }: ExceptionsFor): Exception[] {
  const { expected } = state.stay
  if (!isComing(state) || !expected) return []
  const ask = nothing({ subject: residentId, kind: 'arrived', payload: { enclosure: expected.enclosure } })
  return [{ id: 'arrived', key: 'a', label: asks('itIsHereNow'), ask }]
}

/** Who came, what was said of it, where it went. */
export const residents = {
  registered: { says: ({ name }) => t('putOnRecord', { name }) },
  described: { says: sayDescribed },
  permitted: {
    says: ({ number, until, withdrawn }, { today }) =>
      withdrawn
        ? t('permitWithdrawn', { number })
        : until === null
          ? t('permitted', { number })
          : t('permittedUntil', { number, date: sayDate(until, today) }),
  },
  staged: { says: ({ stage, why }, { of, stageOf }) => t('stage', { stage: stageOf(of, stage), why }) },
  schooled: {
    says: ({ school, option, why }, { of, schoolOf }) =>
      t('school', { school: schoolOf(of, school, option), why }),
  },
  photographed: { says: ({ note }) => withWhy(t('photographed'), note) },
  expected: { says: ({ from }) => (from ? t('expectedFrom', { from }) : t('expected')) },
  arrived: { says: sayArrived, offers: arrivalOffered },
  moved: {
    says: ({ found, expected, why }) =>
      withWhy(
        found === undefined ? t('movedEntry') : t('movedFound', { found, expected: expected ?? found }),
        why,
      ),
  },
  merged: { says: ({ into, why }, { resident }) => withWhy(t('mergedEntry', { name: resident(into) }), why) },
  companionDied: {
    says: ({ companion }, { resident }) => t('companionDiedEntry', { name: resident(companion) }),
  },
  died: { says: sayDeath, offers: deathOffered },
  examined: {
    says: ({ found, disposal }) =>
      [
        ...(found === undefined ? [] : [t('examinedEntry', { found })]),
        ...(disposal === undefined ? [] : [t('bodyEntry', { disposal: terms.disposal[disposal] })]),
      ].join('. '),
  },
  left: {
    says: sayLeft,
    offers: (one) => [
      { id: 'gone', key: '8', label: asks('leftTheHouse'), ask: pageOut(one, 'rehomed', 'left') },
    ],
  },
  lost: { says: ({ why }) => withWhy(t('lostEntry'), why) },
} satisfies KindsHere
