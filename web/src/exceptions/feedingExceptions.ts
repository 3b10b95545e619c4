import type { Draft, FeedOutcome, ResidentDay, Task } from '@kobrin/core'
import { fedDraft } from '@kobrin/core'
import { words } from '../words/en.ts'
import type { Answers, Ask, Exception, Field } from './ask.ts'
import { choice, nothing } from './ask.ts'
import { t } from './words.ts'

const FEED_ORDER: readonly Task['status'][] = ['late', 'due', 'held', 'open', 'done', 'notYet']
const WHY_NOT = [t('busyWithItsSkin'), t('stillHasAFull'), t('hiddenOrAsleep'), t('foodNotReady')]
const OUTCOMES = Object.keys(words.outcome) as FeedOutcome[]
const SOMETHING_ELSE = '…'

/** The meal an exception speaks of: the most pressing one. */
export function mealOf({ tasks }: ResidentDay): Task | undefined {
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
      label: t('food'),
      type: 'select',
      value: meal?.item ?? '',
      options: [
        ...foods.map(({ item }) => ({ value: item, label: item })),
        { value: SOMETHING_ELSE, label: t('somethingElse') },
      ],
    },
    { name: 'other', label: t('ifSomethingElseWhat'), type: 'text', value: '' },
    { name: 'size', label: t('size'), type: 'text', value: meal?.size ?? '', suggestions: sizes },
    {
      name: 'count',
      label: t('howMany'),
      type: 'number',
      unit: t('pieces'),
      value: String(meal?.count ?? ''),
    },
    {
      name: 'grams',
      label: t('weightOfItAll'),
      type: 'number',
      unit: 'g',
      value: String(meal?.count === undefined ? (meal?.grams ?? '') : ''),
    },
    ...dusts.map((name): Field => ({
      name: t('dust', { name }),
      label: t('with', { name }),
      type: 'tick',
      value: meal?.supplements?.includes(name) ? 'yes' : '',
    })),
    {
      name: 'outcome',
      label: t('outcome'),
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
  const supplements = dusts.filter((name) => ticked(t('dust', { name })))
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

function bowl(residentId: string, { duty }: Task): Ask {
  const found = (label: string, payload: Omit<Found, 'duty'>) => ({
    label,
    then: nothing({ subject: residentId, kind: 'bowl', payload: { duty: duty.id, ...payload } }),
  })
  return choice([
    found(t('emptyRefilled'), { found: 'empty', refilled: true }),
    found(t('empty'), { found: 'empty' }),
    found(t('aLittleLeft'), { found: 'leftovers', leftFraction: 0.1 }),
    found(t('aboutHalfLeft'), { found: 'leftovers', leftFraction: 0.5 }),
    found(t('hardlyTouched'), { found: 'full', leftFraction: 0.95 }),
  ])
}

/** What can be said about the most pressing meal, if the plan has meals. */
export function feedingExceptions(residentId: string, day: ResidentDay): Exception[] {
  const task = mealOf(day)
  if (!task) return []
  const simple = (key: string, outcome: FeedOutcome, label: string): Exception => ({
    id: outcome,
    key,
    label,
    ask: nothing(offered(residentId, task, outcome)),
  })
  const notOffered = [
    { label: t('stillLiesThere'), then: nothing(uneaten(offered(residentId, task, 'notOffered'))) },
    ...WHY_NOT.map((why) => ({
      label: why,
      then: nothing(offered(residentId, task, 'notOffered', why)),
    })),
  ]
  return [
    simple('p', 'part', t('partTaken')),
    simple('r', 'refused', t('refused')),
    {
      id: 'refusedInSight',
      key: '1',
      label: t('refusedInSight'),
      ask: nothing(inSight(offered(residentId, task, 'refused'))),
    },
    simple('l', 'left', t('leftToFind')),
    { id: 'notOffered', key: 'x', label: t('notOffered'), ask: choice(notOffered) },
    { id: 'bowl', key: 'e', label: t('bowlFound'), ask: bowl(residentId, task) },
    { id: 'otherFood', key: 'a', label: t('otherFoodOrAmount'), ask: otherFood(residentId, task) },
  ]
}
