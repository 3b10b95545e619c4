import type { Draft, DutyKind, Task } from '@kobrin/core'
import { canBeAsPlanned, canBeForAll, isToDo } from '@kobrin/core'
import { useRecord } from '../entries/useRecord.ts'
import type { When } from '../time/useToday.ts'
import { usePeople } from '../people/usePeople.ts'
import { useResidents } from '../residents/useResidents.ts'
import { dutyName } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { t } from './words.ts'

/** On which keys numbers are said at the board. */
const NUMBER_KEYS: Readonly<Partial<Record<DutyKind, string>>> = { weigh: 'w', measure: 'm', read: '7' }

/** What is done to a box is said once for all who live in it. */
function onceEach(drafts: readonly Draft[]): Draft[] {
  const said = new Set<string>()
  return drafts.filter((draft) => {
    if (draft.kind !== 'tended') return true
    const key = `${draft.subject} ${draft.payload.duty}`
    return !said.has(key) && said.add(key)
  })
}

/** What one touch says: everything that is due and needs no number, as planned. */
export function useTouch() {
  const residents = useResidents()
  const record = useRecord()
  const people = usePeople()

  function plannedDrafts(
    residentId: string,
    can: (task: Task) => boolean = canBeAsPlanned,
  ): { drafts: Draft[]; says: string[] } {
    const drafts: Draft[] = []
    const says: string[] = []
    for (const task of residents.dayOf(residentId).tasks) {
      if (!isToDo(task) || !can(task)) continue
      const draft = residents.asPlanned(residentId, task)
      if (!draft || !people.maySay(draft)) continue
      drafts.push(draft)
      says.push(task.duty.label ? dutyName(task).toLowerCase() : words.done[task.duty.does])
    }
    return { drafts, says }
  }

  function has(residentId: string, can: (task: Task) => boolean): boolean {
    return residents.dayOf(residentId).tasks.some((task) => isToDo(task) && can(task))
  }

  function canTouch(residentId: string): boolean {
    return has(residentId, canBeAsPlanned)
  }

  /** The key of the first number that is still due. */
  function keyOfNumber(residentId: string): string | undefined {
    const due = residents.dayOf(residentId).tasks.filter(isToDo)
    return due.map(({ duty }) => NUMBER_KEYS[duty.does]).find((key) => key !== undefined)
  }

  /** Whether a touch for many would say anything of this one. */
  function canTouchAmong(residentId: string): boolean {
    return has(residentId, canBeForAll)
  }

  /** Logs one resident as planned. False when nothing could be logged that way. */
  function touch(residentId: string, when: When = null): boolean {
    const { drafts, says } = plannedDrafts(residentId)
    if (drafts.length === 0) return false
    record.keep(drafts, `${residents.nameOf(residentId)}: ${says.join(', ')}`, { when })
    return true
  }

  /** Logs many at once, every duty or one kind, but no check: those are made one by one. Returns how many residents. */
  function touchAll(residentIds: readonly string[], title: string, does?: Task['duty']['does']): number {
    const can = (task: Task) => canBeForAll(task) && (does === undefined || task.duty.does === does)
    const each = residentIds.map((id) => plannedDrafts(id, can).drafts)
    const some = each.filter((drafts) => drafts.length > 0)
    if (some.length > 0) record.keep(onceEach(some.flat()), t('asPlanned2', { title, count: some.length }))
    return some.length
  }

  return { canTouch, canTouchAmong, keyOfNumber, touch, touchAll }
}
