import type { Duty, Hold, Offering, ResidentDay, Task, Verdict } from '@kobrin/core'
import { isBefore, isStopped } from '@kobrin/core'
import { words } from './en.ts'
import { sayDay, sayGrams, sayMinuteOfDay, sayRange, spaced } from './numbers.ts'
import { sayPoint, sayReading, sayReadingBriefly } from './readings.ts'
import { sayObstacles } from './rest.ts'
import type { Teller } from './reasons.ts'

/** "6 crickets M, calcium" */
export function sayOffering({ item, size, count, grams, supplements }: Offering): string {
  const pieces = count ? `${sayRange(count)} ` : ''
  const sized = size === undefined ? item : count && count[1] === 1 ? `${size} ${item}` : `${item} ${size}`
  const about = grams
    ? count
      ? `, about ${sayRange(grams, (value) => spaced(Math.round(value)))} g`
      : `, ${sayGrams(grams[1])}`
    : ''
  const with_ = supplements.length > 0 ? `, ${supplements.join(' and ')}` : ''
  return `${pieces}${sized}${about}${with_}`
}

export function dutyName({ duty, keptAt }: Pick<Task, 'duty' | 'keptAt'>): string {
  if (keptAt !== undefined) return `Old floor, ${keptAt}`
  if (duty.reads) return `Read ${sayPoint(duty.reads)}`
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
  if (overdue) return `${name} for ${days} days: should be over. Look.`
  if (expectedEnd === null) return `${name} since ${sayDay(since, today)}`
  if (expectedEnd <= today) return `${name}, day ${days}. Over about now; look.`
  const end = sayDay(expectedEnd, today)
  return endsBy === 'time' ? `${name} until ${end}` : `${name}, day ${days}. Over about ${end}.`
}

/** The headline of a verdict. */
export function sayVerdict({ what }: Verdict, { today, who }: Teller): string {
  switch (what.code) {
    case 'holdOverdue':
      return `${words.hold[what.hold]} should be over. Look, then say what you found.`
    case 'refusing':
      return what.explainedBy
        ? `Refused ${what.inRow} times; explained: ${words.hold[what.explainedBy].toLowerCase()}`
        : `Refused ${what.inRow} times, not explained`
    case 'fedTwice':
      return `Fed twice today: ${what.by.map(who).join(' and ')}`
    case 'unseen':
      return what.days === null ? 'Never seen' : `Not seen for ${what.days} days`
    case 'suspectWeight':
      return `${sayGrams(what.grams)} does not fit ${sayGrams(what.level)}: weigh again`
    case 'observed':
      return what.text
    case 'unaccounted':
      return `${what.missing} unaccounted for since ${sayDay(what.day, today)}`
    case 'vacated':
      return what.leaves === 'toClean' ? 'Waits to be cleaned' : 'Its old floor waits to be kept'
    case 'floorReady':
      return `Old floor, ${what.where}: may go now, after a last look${what.freeze ? ' and three days in the freezer' : ''}`
    case 'floorWaits':
      return `Old floor, ${what.where}: look into it`
    case 'gone':
      return `${what.how === 'died' ? 'Died' : 'Left'} ${sayDay(what.day, today)}`
    case 'reading':
      return sayReading(what)
    case 'sign':
      return what.first === null ? what.sign : `${what.sign}. ${what.first}`
    case 'restUnfit':
      return `Should not rest: ${sayObstacles(what.obstacles, today)}`
    case 'wake':
      return what.why === 'urine'
        ? 'Wake it: it passed water in its rest'
        : `Wake it: ${Math.round((what.share ?? 0) * 100)} % of its weight is gone`
    case 'noPlan':
      return 'No plan: its care sheet cannot answer for it'
    case 'stageReached':
      return `Has reached the next stage: ${what.name}`
    case 'condition':
      return `Body condition ${what.score}: ${what.score > 3 ? 'feed less' : 'feed more'}?`
    case 'retainedSkin': {
      const since = what.day === null ? '' : ` since ${sayDay(what.day, today)}`
      return `Old skin on ${what.parts.map((part) => words.retained[part]).join(', ')}${since}, look again`
    }
  }
}

function sayDone(tasks: readonly Task[]): string | null {
  const fed = tasks.find(({ duty, status }) => duty.does === 'feed' && status === 'done')
  if (!fed) return null
  return `Fed, ${fed.done?.outcome ? words.outcome[fed.done.outcome] : 'bowl looked at'}`
}

function sayTask(task: Task): string {
  if (task.duty.does === 'feed') {
    if (task.tooLarge) return `Due to eat. ${sayTooLarge(task.tooLarge)}`
    if (task.nothingToOffer) return 'Due to eat, but every food is at its cap'
    return task.offering ? `Eats today: ${sayOffering(task.offering)}` : dutyName(task)
  }
  return dutyName(task)
}

/** "Nothing is small enough: a pinkie has 2 g, at most 0.8 g. Instead: a part of one, or waiting." */
export function sayTooLarge({ item, size, unit, has, most, instead }: NonNullable<Task['tooLarge']>): string {
  const told = (value: number) => (unit === 'g' ? sayGrams(value) : `${Math.round(value * 10) / 10} mm`)
  const other = instead.length > 0 ? instead.join('; ') : 'a part of one, something smaller, or waiting'
  return `Nothing is small enough: ${item} ${size} is ${told(has)}, at most ${told(most)} may be given. Instead: ${other}.`
}

/** A verdict in the little room of a cell: what to do about it stands in the panel. */
function sayBriefly(verdict: Verdict, teller: Teller): string {
  const { what } = verdict
  if (what.code === 'reading') return sayReadingBriefly(what)
  return what.code === 'sign' ? what.sign : sayVerdict(verdict, teller)
}

export type Tone = 'plain' | 'held' | 'late' | 'done' | 'watch'

/** The one sentence a colleague would say at this enclosure. */
export function sayCell(resident: ResidentDay, teller: Teller): { text: string; tone: Tone } {
  const { tasks, holds, verdicts } = resident
  const grave = verdicts.find(({ severity }) => severity === 'urgent' || severity === 'act')
  if (grave) return { text: sayBriefly(grave, teller), tone: 'late' }
  const gone = verdicts.find(({ what }) => what.code === 'gone')
  if (gone) return { text: sayVerdict(gone, teller), tone: 'done' }
  const hold = holds.find(({ overdue }) => overdue) ?? holds.find(({ suppresses }) => suppresses.length > 0)
  if (hold) return { text: sayHold(hold, teller.today), tone: 'held' }
  const watch = verdicts.find(({ severity }) => severity === 'watch')
  if (watch) return { text: sayBriefly(watch, teller), tone: 'watch' }
  if (tasks.length > 0 && tasks.every(({ duty }) => isBefore(duty)))
    return { text: 'Expected. Its place is made ready.', tone: 'plain' }
  const toDo = tasks.filter(({ status }) => status === 'due' || status === 'late')
  const first =
    toDo.find(({ duty }) => duty.does === 'feed') ?? toDo.find(({ duty }) => duty.does === 'weigh') ?? toDo[0]
  if (first) return { text: sayTask(first), tone: 'plain' }
  const later = tasks.find(({ opensAtMinute }) => opensAtMinute !== undefined)
  if (later)
    return { text: `${dutyName(later)} after ${sayMinuteOfDay(later.opensAtMinute ?? 0)}`, tone: 'done' }
  const done = sayDone(tasks)
  if (done) return { text: done, tone: 'done' }
  const next = tasks
    .filter(({ duty, dueOn }) => duty.does === 'feed' && dueOn !== null)
    .sort((a, b) => (a.dueOn ?? 0) - (b.dueOn ?? 0))[0]
  if (next?.dueOn != null) return { text: `Eats ${sayDay(next.dueOn, teller.today)}`, tone: 'done' }
  return { text: tasks.some(({ status }) => status === 'done') ? 'All done' : 'Nothing due', tone: 'done' }
}
