import type { Draft, Entry, Fact, FactKind, Payload, SkinLeft } from '@kobrin/core'
import { words } from './en.ts'
import { terms } from './terms.ts'
import type { Teller } from './reasons.ts'
import { sayGrams, sayIn } from './measures.ts'
import { sayDate } from './numbers.ts'
import { sayValue } from './readings.ts'
import { sayAll } from './sayAll.ts'
import { spaced } from './spaced.ts'
import { t } from './told.ts'

/** Names as entries need them: days from today, people and residents, and the stages and schools of a sheet. */
export type EntryTeller = Pick<Teller, 'today' | 'who' | 'resident' | 'stageOf' | 'schoolOf'>

/** Whom a fact is about, and the names it is said with. */
interface About extends EntryTeller {
  of: string
}

/** What happened, and why where somebody said so. */
function withWhy(says: string, why: string | undefined): string {
  return why ? t('saysWhy', { says, why }) : says
}

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

function sayDescribed({ origin, parents, marks, chip }: Payload<'described'>, { resident }: About): string {
  const known = [
    ...(origin === undefined ? [] : [terms.origin[origin]]),
    ...(parents?.length ? [t('youngOf', { names: sayAll(parents.map(resident)) })] : []),
    ...(chip === undefined ? [] : [t('chipNumber', { chip })]),
    ...(marks === undefined ? [] : [marks]),
  ]
  return t('describedAs', { words: known.join('; ') })
}

function sayArrived({ source, how, of }: Payload<'arrived'>, { resident }: About): string {
  if (of !== undefined) return t(`${how ?? 'brought'}HereOf`, { name: resident(of) })
  return source ? t('arrivedFrom', { source }) : t('arrivedEntry')
}

function saySkins(parts: readonly SkinLeft[]): string {
  return parts.map((part) => words.retained[part]).join(', ')
}

function sayShed({ stage, how, retained, skinFound }: Payload<'ecdysis'>): string {
  const named = skinFound ? t('skinFound', { shed: terms.stage[stage] }) : terms.stage[stage]
  const shed =
    how === 'inPieces'
      ? t('inPieces', { shed: named })
      : how === 'whole'
        ? t('inOnePiece', { shed: named })
        : named
  return retained?.length ? t('oldSkinOn', { shed, parts: saySkins(retained) }) : shed
}

function sayMeal(payload: Payload<'fed'>): string {
  const { item, size, count, grams, supplements, outcome, why, inSight, uneaten } = payload
  const amount = count === undefined ? (grams === undefined ? [] : [sayGrams(grams)]) : [spaced(count)]
  const food = [...amount, item, ...(size ? [size] : [])].join(' ')
  const meal = supplements?.length ? t('dustedWith', { food, dust: supplements.join(', ') }) : food
  const told = uneaten ? t('lastFoodThere') : t('mealOutcome', { meal, outcome: words.outcome[outcome] })
  const says = inSight ? t('inSight', { says: told }) : told
  return why ? t('inBrackets', { says, why }) : says
}

function sayBowl({ found, leftFraction, refilled }: Payload<'bowl'>): string {
  return [
    t('bowlFound', { found }),
    ...(leftFraction === undefined ? [] : [t('percentLeft', { percent: Math.round(leftFraction * 100) })]),
    ...(refilled ? [t('refilled')] : []),
  ].join(', ')
}

function sayWeighed({ grams, confirmed, doubted, context, tub }: Payload<'weighed'>): string {
  const weight = sayGrams(grams)
  const says = [
    confirmed ? t('weighedLookedTwice', { grams: weight }) : t('weighed', { grams: weight }),
    ...(doubted ? [t('weighedDoubted')] : []),
    ...(context ?? []).map((one) => terms.context[one]),
  ].join(', ')
  return tub
    ? t('inBrackets', { says, why: t('inTub', { tub: tub.label, grams: sayGrams(tub.grams) }) })
    : says
}

function sayWatered({ litres }: Pick<Payload<'watered'>, 'litres'>): string {
  return litres ? t('freshWaterLitres', { litres: sayIn(litres, 'l') }) : t('freshWater')
}

function sayDampened({ end, litres }: Pick<Payload<'dampened'>, 'end' | 'litres'>): string {
  const where = end ? t('dampenedWhere', { where: terms.end[end] }) : t('dampened')
  return litres ? t('withLitres', { where, litres: sayIn(litres, 'l') }) : where
}

function sayTended(payload: Payload<'tended'>): string {
  switch (payload.does) {
    case 'water':
      return sayWatered(payload)
    case 'dampen':
      return sayDampened(payload)
    case 'clean':
      return payload.scope === 'full' ? t('fullClean') : t('spotCleaned')
    case 'check':
      return t('inspected')
  }
}

const SAYS: { [K in FactKind]: (payload: Payload<K>, about: About) => string } = {
  registered: ({ name }) => t('putOnRecord', { name }),
  arrived: sayArrived,
  died: sayDeath,
  examined: ({ found, disposal }) =>
    [
      ...(found === undefined ? [] : [t('examinedEntry', { found })]),
      ...(disposal === undefined ? [] : [t('bodyEntry', { disposal: terms.disposal[disposal] })]),
    ].join('. '),
  left: sayLeft,
  lost: ({ why }) => withWhy(t('lostEntry'), why),
  merged: ({ into, why }, { resident }) => withWhy(t('mergedEntry', { name: resident(into) }), why),
  parted: ({ count, into }, { resident }) => t('partedEntry', { count, name: resident(into) }),
  companionDied: ({ companion }, { resident }) => t('companionDiedEntry', { name: resident(companion) }),
  described: sayDescribed,
  photographed: ({ note }) => withWhy(t('photographed'), note),
  permitted: ({ number, until, withdrawn }, { today }) =>
    withdrawn
      ? t('permitWithdrawn', { number })
      : until === null
        ? t('permitted', { number })
        : t('permittedUntil', { number, date: sayDate(until, today) }),
  staged: ({ stage, why }, { of, stageOf }) => t('stage', { stage: stageOf(of, stage), why }),
  schooled: ({ school, option, why }, { of, schoolOf }) =>
    t('school', { school: schoolOf(of, school, option), why }),
  expected: ({ from }) => (from ? t('expectedFrom', { from }) : t('expected')),
  moved: ({ found, expected, why }) =>
    withWhy(
      found === undefined ? t('movedEntry') : t('movedFound', { found, expected: expected ?? found }),
      why,
    ),
  vacated: ({ leaves }) => (leaves === 'toClean' ? t('movedOutOfTo') : t('movedOutOfFloor')),
  reading: ({ zone, what, value }) => `${zone}: ${sayValue(what, value)}`,
  readied: ({ floor }) => (floor === 'kept' ? t('emptiedFloorKept') : t('cleaned')),
  counted: ({ count, expected }) =>
    expected === undefined ? t('counted', { counted: count }) : t('countedOf', { counted: count, expected }),
  accounted: ({ found, lost, why }) => t('missingFoundAgainGiven', { found, lost, why }),
  gained: ({ count, lot, from, why }, { resident }) => {
    const more =
      from === undefined
        ? t('more', { more: count })
        : t('moreTakenIn', { more: count, name: resident(from) })
    return withWhy(lot ? t('moreFoundInOld', { more: count }) : more, why)
  },
  floorKept: ({ at }) => t('oldFloorPutAside', { at }),
  floorChecked: ({ found, count }) =>
    found === 'nothing'
      ? t('oldFloorNothingAlive')
      : count === undefined
        ? t('oldFloorSome', { found })
        : t('oldFloorSomeCounted', { animals: count, found }),
  floorDisposed: ({ why }) => withWhy(t('oldFloorThrownAway'), why),
  checked: () => t('inspected'),
  condition: ({ score }) => t('bodyConditionEntry', { score }),
  fed: sayMeal,
  bowl: sayBowl,
  watered: sayWatered,
  tended: sayTended,
  answered: ({ text }) => withWhy(t('noteAnswered'), text),
  cleaned: ({ scope }) => (scope === 'full' ? t('fullClean') : t('spotCleaned')),
  dampened: sayDampened,
  weighed: sayWeighed,
  measured: ({ part, mm }) => t('partMm', { part: terms.part[part], mm: sayIn(mm, 'mm') }),
  ecdysis: sayShed,
  skinCleared: ({ parts }) => (parts ? t('oldSkinOffParts', { parts: saySkins(parts) }) : t('oldSkinOff')),
  looked: ({ seen }) => (seen ? t('seen') : t('lookedNotSeen')),
  droppings: ({ kind }) => t('droppings', { droppings: terms.droppings[kind] }),
  observed: ({ text, severity }) => t('inBrackets', { says: text, why: terms.severity[severity] }),
  noted: ({ text }) => text,
  held: ({ hold, until, reason }, { today }) =>
    until === undefined
      ? t('hold', { hold: words.hold[hold], reason })
      : t('holdUntil', { hold: words.hold[hold], until: sayDate(until, today), reason }),
  released: ({ hold, reason }) =>
    reason
      ? t('holdLiftedWhy', { hold: words.hold[hold], reason })
      : t('holdLifted', { hold: words.hold[hold] }),
}

function sayFact(fact: Pick<Fact, 'kind' | 'payload'>, about: About): string {
  const says = SAYS[fact.kind] as ((payload: unknown, about: About) => string) | undefined
  // A newer version wrote it: it is kept, and read once this page is taken anew.
  return says ? says(fact.payload, about) : t('saidByNewer')
}

/** What an entry says, or would say, in one line. */
export function sayDraft(entry: Draft, teller: EntryTeller): string {
  const about = { ...teller, of: entry.subject }
  if (entry.kind === 'retracted') return t('tookBackAnEntry', { why: entry.payload.why })
  if (entry.kind === 'corrected')
    return t('correctedTo', { fact: sayFact(entry.payload.to, about), why: entry.payload.why })
  return sayFact(entry, about)
}

export function sayEntry(entry: Entry, teller: EntryTeller): string {
  return sayDraft(entry, teller)
}
