import type { Draft, FeedOutcome, Payload, ResidentDay, Task } from '@kobrin/core'
import { fedDraft } from '@kobrin/core'
import type { Answers, Ask, Exception, ExceptionsFor, Field } from '../exceptions/ask.ts'
import { choice, nothing } from '../exceptions/ask.ts'
import { t as asks } from '../exceptions/words.ts'
import { sayGrams } from '../words/measures.ts'
import { words } from '../words/en.ts'
import { spaced } from '../words/spaced.ts'
import { t } from '../words/facts.ts'
import type { KindsHere } from './kind.ts'

function sayMeal(payload: Payload<'fed'>): string {
  const { item, size, count, grams, supplements, outcome, why, inSight, uneaten } = payload
  const amount = count === undefined ? (grams === undefined ? [] : [sayGrams(grams)]) : [spaced(count)]
  const food = [...amount, item, ...(size ? [size] : [])].join(' ')
  const meal = supplements?.length ? t('dustedWith', { food, dust: supplements.join(', ') }) : food
  const cameOf = uneaten ? t('lastFoodThere') : t('mealOutcome', { meal, outcome: words.outcome[outcome] })
  const says = inSight ? t('inSight', { says: cameOf }) : cameOf
  return why ? t('inBrackets', { says, why }) : says
}

function sayBowl({ found, leftFraction, refilled }: Payload<'bowl'>): string {
  return [
    t('bowlFound', { found }),
    ...(leftFraction === undefined ? [] : [t('percentLeft', { percent: Math.round(leftFraction * 100) })]),
    ...(refilled ? [t('refilled')] : []),
  ].join(', ')
}

const FEED_ORDER: readonly Task['status'][] = ['late', 'due', 'held', 'open', 'done', 'notYet']
const WHY_NOT = [asks('busyWithItsSkin'), asks('stillHasAFull'), asks('hiddenOrAsleep'), asks('foodNotReady')]
const OUTCOMES = Object.keys(words.outcome) as FeedOutcome[]
const SOMETHING_ELSE = '…'

/** The meal an exception speaks of: the most pressing one. */
function mealOf({ tasks }: ResidentDay): Task | undefined {
  const feeds = tasks.filter(({ duty }) => duty.does === 'feed')
  return feeds.sort((a, b) => FEED_ORDER.indexOf(a.status) - FEED_ORDER.indexOf(b.status))[0]
}

function offeringOf(task: Task) {
  const food = task.duty.foods?.[0]
  return (
    task.offering ?? {
      item: food?.item ?? 'food',
      ...(food?.sizes[0] && { size: food.sizes[0].size }),
      supplements: [],
      because: [],
    }
  )
}

function offered(residentId: string, task: Task, outcome: FeedOutcome, why?: string): Draft {
  return fedDraft(residentId, task, offeringOf(task), outcome, why)
}

/** It was seen while it refused: the refusal is a sighting as well. */
function inSight(draft: Draft): Draft {
  return draft.kind === 'fed' ? { ...draft, payload: { ...draft.payload, inSight: true } } : draft
}

/** Nothing was offered since the last food lies there untouched: then that was no meal. */
function uneaten(draft: Draft): Draft {
  return draft.kind === 'fed' ? { ...draft, payload: { ...draft.payload, uneaten: true } } : draft
}

function otherFood(residentId: string, task: Task): Ask {
  const planned = fedDraft(residentId, task, offeringOf(task), 'taken')
  const meal = planned.kind === 'fed' ? planned.payload : null
  const foods = task.duty.foods ?? []
  const dusts = (task.duty.supplements ?? []).map(({ name }) => name)
  const sizes = [...new Set(foods.flatMap((food) => food.sizes.map(({ size }) => size)))]
  const fields: Field[] = [
    {
      name: 'item',
      label: asks('food'),
      type: 'select',
      value: meal?.item ?? '',
      options: [
        ...foods.map(({ item }) => ({ value: item, label: item })),
        { value: SOMETHING_ELSE, label: asks('somethingElse') },
      ],
    },
    { name: 'other', label: asks('ifSomethingElseWhat'), type: 'text', value: '' },
    { name: 'size', label: asks('size'), type: 'text', value: meal?.size ?? '', suggestions: sizes },
    {
      name: 'count',
      label: asks('howMany'),
      type: 'number',
      unit: asks('pieces'),
      value: String(meal?.count ?? ''),
    },
    {
      name: 'grams',
      label: asks('weightOfItAll'),
      type: 'number',
      unit: 'g',
      value: String(meal?.count === undefined ? (meal?.grams ?? '') : ''),
    },
    ...dusts.map((name): Field => ({
      name: asks('dust', { name }),
      label: asks('with', { name }),
      type: 'tick',
      value: meal?.supplements?.includes(name) ? 'yes' : '',
    })),
    {
      name: 'outcome',
      label: asks('outcome'),
      type: 'select',
      value: 'taken',
      options: OUTCOMES.map((value) => ({ value, label: words.outcome[value] })),
    },
  ]
  return { type: 'form', fields, draft: (answers) => fedAsAnswered(residentId, task, dusts, answers) }
}

function fedAsAnswered(
  residentId: string,
  { duty }: Task,
  dusts: readonly string[],
  { text, number, ticked }: Answers,
): Draft {
  const chosen = text('item')
  const size = text('size')
  const count = number('count')
  const grams = number('grams')
  const supplements = dusts.filter((name) => ticked(asks('dust', { name })))
  return {
    subject: residentId,
    kind: 'fed',
    payload: {
      duty: duty.id,
      item: (chosen === SOMETHING_ELSE ? text('other') : chosen) ?? 'food',
      ...(size !== undefined && { size }),
      ...(count !== undefined && { count }),
      ...(grams !== undefined && { grams }),
      ...(supplements.length > 0 && { supplements }),
      outcome: OUTCOMES.find((outcome) => outcome === text('outcome')) ?? 'taken',
    },
  }
}

type Found = Extract<Draft, { kind: 'bowl' }>['payload']

function lookingInto(residentId: string, duty: string): Ask {
  const found = (label: string, payload: Omit<Found, 'duty'>) => ({
    label,
    then: nothing({ subject: residentId, kind: 'bowl', payload: { duty, ...payload } }),
  })
  return choice([
    found(asks('emptyRefilled'), { found: 'empty', refilled: true }),
    found(asks('empty'), { found: 'empty' }),
    found(asks('aLittleLeft'), { found: 'leftovers', leftFraction: 0.1 }),
    found(asks('aboutHalfLeft'), { found: 'leftovers', leftFraction: 0.5 }),
    found(asks('hardlyTouched'), { found: 'full', leftFraction: 0.95 }),
  ])
}

/** What can be said about the most pressing meal, if the plan has meals. */
function mealsOffered({ residentId, day }: ExceptionsFor): Exception[] {
  const task = mealOf(day)
  if (!task) return []
  const simple = (key: string, outcome: FeedOutcome, label: string): Exception => ({
    id: outcome,
    key,
    label,
    ask: nothing(offered(residentId, task, outcome)),
  })
  const notOffered = [
    { label: asks('stillLiesThere'), then: nothing(uneaten(offered(residentId, task, 'notOffered'))) },
    ...WHY_NOT.map((why) => ({
      label: why,
      then: nothing(offered(residentId, task, 'notOffered', why)),
    })),
  ]
  return [
    simple('p', 'part', asks('partTaken')),
    simple('r', 'refused', asks('refused')),
    {
      id: 'refusedInSight',
      key: '1',
      label: asks('refusedInSight'),
      ask: nothing(inSight(offered(residentId, task, 'refused'))),
    },
    simple('l', 'left', asks('leftToFind')),
    { id: 'notOffered', key: 'x', label: asks('notOffered'), ask: choice(notOffered) },
    { id: 'otherFood', key: 'a', label: asks('otherFoodOrAmount'), ask: otherFood(residentId, task) },
  ]
}

/** The bowl of the most pressing meal; first what was left to find and has to come out. */
function bowlOffered({ residentId, day }: ExceptionsFor): Exception[] {
  const left = day.tasks.find(({ leftToFind }) => leftToFind)?.leftToFind
  const duty = left?.duty ?? mealOf(day)?.duty.id
  if (duty === undefined) return []
  return [{ id: 'bowl', key: 'e', label: asks('bowlFound'), ask: lookingInto(residentId, duty) }]
}

/** What was offered, and what became of it. */
export const feeding = {
  fed: {
    says: sayMeal,
    mends: { number: { field: 'count', unit: 'pieces' }, outcome: true },
    offers: mealsOffered,
  },
  bowl: { says: sayBowl, offers: bowlOffered },
} satisfies KindsHere
