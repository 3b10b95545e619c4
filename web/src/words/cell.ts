import type { Duty, Hold, Offering, ResidentDay, Task, Verdict } from '@kobrin/core'
import { AFTER_DEATH, isBefore, isStopped, isToDo } from '@kobrin/core'
import { words } from './en.ts'
import { sayGrams, sayIn, sayRangeIn } from './measures.ts'
import { sayDate, sayDay, sayMinuteOfDay, sayRange } from './numbers.ts'
import { spaced } from './spaced.ts'
import { sayPoint, sayReading } from './readings.ts'
import { sayAll } from './sayAll.ts'
import { sayObstacles } from './rest.ts'
import type { Teller } from './teller.ts'
import { sayJudged } from './judged.ts'
import { t } from './said.ts'

/** Grams of a meal: nobody weighs out tenths of what is more than a spoonful. */
function sayPortion(grams: number): string {
  return sayGrams(grams < 10 ? grams : Math.round(grams))
}

/** Sizes that are letters stand behind what they are of. */
const LETTERS = 2

/** "6 crickets M, calcium", "1 weaned rat". A single piece of what is named in the plural is "1 × crickets M": what a
 * food is called is not ours to change. */
export function sayOffering({ item, size, count, grams, supplements }: Offering): string {
  const isOne = count?.[1] === 1
  const isWord = size !== undefined && size.length > LETTERS
  const food = size === undefined ? item : isOne && isWord ? `${size} ${item}` : `${item} ${size}`
  const pieces =
    count && (isOne && !isWord ? t('one', { food }) : t('pieces', { range: sayRange(count), food }))
  const weight =
    grams &&
    (count
      ? t('aboutG', { range: sayRangeIn(grams, 'g', (value) => spaced(Math.round(value))) })
      : sayPortion(grams[1]))
  const dust = supplements.length > 0 ? [sayAll(supplements)] : []
  return [pieces ?? food, ...(weight ? [weight] : []), ...dust].join(', ')
}

/** The meal of a duty that has a name of its own: what the name says is not said again. */
export function sayMealOf(label: string | undefined, offering: Offering): string {
  if (label === undefined) return sayOffering(offering)
  const { count, ...uncounted } = offering
  const isOne = count?.[1] === 1 && offering.size === undefined
  const meal = sayOffering(isOne ? uncounted : offering)
  return meal.toLowerCase() === label.toLowerCase() ? label : t('labelMeal', { label, meal })
}

export function dutyName({ duty, keptAt, leftToFind }: Pick<Task, 'duty' | 'keptAt' | 'leftToFind'>): string {
  if (leftToFind) return t('takeOut', { item: leftToFind.item })
  if (keptAt !== undefined) return t('oldFloor', { keptAt })
  if (duty.id === AFTER_DEATH) return t('lookAfterDeath')
  if (duty.reads) return t('read', { point: sayPoint(duty.reads) })
  return duty.label ?? words.duty[duty.does]
}

/** What of a plan a hold leaves undone, each once; empty where it is nothing. */
export function sayUndone(hold: Hold, duties: readonly Duty[]): string {
  const names = duties.filter((duty) => isStopped(duty, hold)).map((duty) => dutyName({ duty }))
  return [...new Set(names)].map((name) => `${name.charAt(0).toLowerCase()}${name.slice(1)}`).join(', ')
}

/** "In blue, day 4. Clears about Thursday." */
export function sayHold({ hold, since, expectedEnd, overdue, endsBy }: Hold, today: number): string {
  const name = words.hold[hold]
  const days = today - since + 1
  if (overdue) return t('forDaysShouldBe', { name, count: days })
  if (expectedEnd === null) return t('since', { name, day: sayDay(since, today) })
  if (expectedEnd <= today) return t('dayOverAboutNow', { name, days })
  const end = sayDay(expectedEnd, today)
  return endsBy === 'time' ? t('until', { name, end }) : t('dayOverAbout', { name, days, end })
}

/** The headline of a verdict. */
export function sayVerdict({ what }: Verdict, { today, who }: Teller): string {
  switch (what.code) {
    case 'holdOverdue':
      return t('shouldBeOverLook', { hold: words.hold[what.hold] })
    case 'fedTwice':
      return t('fedTwiceToday', { by: sayAll(what.by.map(who)) })
    case 'observed':
      return what.text
    case 'unaccounted':
      return t('unaccountedForSince', { missing: what.missing, day: sayDay(what.day, today) })
    case 'vacated':
      return what.leaves === 'toClean' ? t('waitsToBeCleaned') : t('itsOldFloorWaits')
    case 'floorReady':
      return what.freeze
        ? t('oldFloorMayGoFrozen', { where: what.where })
        : t('oldFloorMayGo', { where: what.where })
    case 'floorWaits':
      return t('oldFloorLookInto', { where: what.where })
    case 'gone':
      return `${words.gone[what.how]} ${sayDay(what.day, today)}`
    case 'postMortemOpen':
      return what.count === undefined
        ? t('postMortemOpen', { day: sayDay(what.day, today) })
        : t('somePostMortem', { day: sayDay(what.day, today), count: what.count })
    case 'bodyWaits':
      return what.count === undefined
        ? t('bodyWaits', { day: sayDay(what.day, today) })
        : t('bodiesWait', { day: sayDay(what.day, today), count: what.count })
    case 'dueBack':
      if (what.count !== undefined)
        return t(what.day < today ? 'someWereDue' : 'someAreDue', {
          date: sayDate(what.day, today),
          count: what.count,
        })
      return what.day < today
        ? t('wasDueBack', { date: sayDate(what.day, today) })
        : t('isDueBack', { date: sayDate(what.day, today) })
    case 'permitEnds':
      return what.until < today
        ? t('permitEnded', { number: what.number, date: sayDate(what.until, today) })
        : t('permitEnds', { number: what.number, date: sayDate(what.until, today) })
    case 'reading':
      return sayReading(what)
    case 'sign':
      return what.first === null ? what.sign : `${what.sign}. ${what.first}`
    case 'restUnfit':
      return t('shouldNotRest', { obstacles: sayObstacles(what.obstacles, today) })
    case 'wake':
      return t('wakeItItPassed')
    case 'noPlan':
      return t('noPlanItsCare')
    case 'stageReached':
      return t('hasReachedTheNext', { name: what.name })
    case 'condition':
      return t('bodyCondition', { score: what.score, score2: what.score > 3 ? t('feedLess') : t('feedMore') })
    case 'retainedSkin': {
      const parts = what.parts.map((part) => words.retained[part]).join(', ')
      if (what.layers > 1) return t('oldSkinLayers', { parts, layers: what.layers })
      return what.day === null
        ? t('oldSkinOnLook', { parts })
        : t('oldSkinOnSince', { parts, day: sayDay(what.day, today) })
    }
    default:
      return sayJudged(what, today)
  }
}

function sayDone(tasks: readonly Task[]): string | null {
  const fed = tasks.find(({ duty, status }) => duty.does === 'feed' && status === 'done')
  if (!fed) return null
  return t('fed', { outcome: fed.done?.outcome ? words.outcome[fed.done.outcome] : t('bowlLookedAt') })
}

function sayTask(task: Task): string {
  if (task.duty.does === 'feed') {
    if (task.tooLarge) return t('dueToEat', { tooLarge: sayTooLarge(task.tooLarge) })
    if (task.nothingToOffer) return t('dueToEatBut')
    return task.offering
      ? t('eatsToday', { offering: sayMealOf(task.duty.label, task.offering) })
      : dutyName(task)
  }
  return dutyName(task)
}

/** "Nothing is small enough: a pinkie has 2 g, at most 0.8 g. Instead: a part of one, or waiting." */
export function sayTooLarge({ item, size, unit, has, most, instead }: NonNullable<Task['tooLarge']>): string {
  const told = (value: number) =>
    unit === 'g' ? sayGrams(value) : sayIn(value, 'mm', (mm) => spaced(Math.round(mm * 10) / 10))
  const other = instead.length > 0 ? instead.join('; ') : t('aPartOfOne')
  return t('nothingIsSmallEnough', { item, size, told: told(has), told2: told(most), other })
}

/** A verdict in the little room of a cell: what to do about it stands in the panel. */
function sayBriefly(verdict: Verdict, teller: Teller): string {
  const { what } = verdict
  return what.code === 'sign' ? what.sign : sayVerdict(verdict, teller)
}

export type Tone = 'plain' | 'held' | 'late' | 'done' | 'watch'

/** What goes before a hold and before the week's work: prey gnaws on while a box only says that it is held, and what
 * killed one may take the next. */
function cannotWait({ leftToFind, duty }: Task): boolean {
  return leftToFind !== undefined || duty.id === AFTER_DEATH
}

/** The one sentence a colleague would say at this enclosure. */
export function sayCell(resident: ResidentDay, teller: Teller): { text: string; tone: Tone } {
  const { tasks, holds, verdicts } = resident
  const grave = verdicts.find(({ severity }) => severity === 'urgent' || severity === 'act')
  if (grave) return { text: sayBriefly(grave, teller), tone: 'late' }
  const gone = verdicts.find(({ what }) => what.code === 'gone')
  if (gone) return { text: sayVerdict(gone, teller), tone: 'done' }
  const pressing = tasks.find((task) => isToDo(task) && cannotWait(task))
  if (pressing) return { text: sayTask(pressing), tone: pressing.status === 'late' ? 'late' : 'plain' }
  const hold = holds.find(({ overdue }) => overdue) ?? holds.find(({ suppresses }) => suppresses.length > 0)
  if (hold) return { text: sayHold(hold, teller.today), tone: 'held' }
  const watch = verdicts.find(({ severity }) => severity === 'watch')
  if (watch) return { text: sayBriefly(watch, teller), tone: 'watch' }
  if (tasks.length > 0 && tasks.every(({ duty }) => isBefore(duty)))
    return { text: t('expectedItsPlaceIs'), tone: 'plain' }
  const toDo = tasks.filter(isToDo)
  const first =
    toDo.find(({ duty }) => duty.does === 'feed') ?? toDo.find(({ duty }) => duty.does === 'weigh') ?? toDo[0]
  if (first) return { text: sayTask(first), tone: 'plain' }
  const later = tasks.find(({ opensAtMinute }) => opensAtMinute !== undefined)
  if (later)
    return {
      text: t('after', { duty: dutyName(later), minuteOfDay: sayMinuteOfDay(later.opensAtMinute ?? 0) }),
      tone: 'done',
    }
  const done = sayDone(tasks)
  if (done) return { text: done, tone: 'done' }
  const next = tasks
    .filter(({ duty, dueOn }) => duty.does === 'feed' && dueOn !== null)
    .sort((a, b) => (a.dueOn ?? 0) - (b.dueOn ?? 0))[0]
  if (next?.dueOn != null) return { text: t('eats', { day: sayDay(next.dueOn, teller.today) }), tone: 'done' }
  return {
    text: tasks.some(({ status }) => status === 'done') ? t('allDone') : t('nothingDue'),
    tone: 'done',
  }
}
