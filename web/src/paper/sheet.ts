import type { DutyKind, ResidentDay, Task } from '@kobrin/core'
import { isToDo } from '@kobrin/core'
import { dutyName } from '../words/cell.ts'
import { words } from '../words/en.ts'
import { unitHere } from '../words/measures.ts'
import { unitOf } from '../words/readings.ts'
import { t } from './words.ts'

/** A column of the sheet: duties of one name. */
export interface SheetColumn {
  key: string
  does: DutyKind
  name: string
}

/** A line of the sheet: one resident, and what of it stands in which column. */
export interface SheetRow {
  resident: string
  tasks: ReadonlyMap<string, readonly Task[]>
}

export interface BaySheet {
  columns: SheetColumn[]
  rows: SheetRow[]
}

/** In the order in which a hand sees to a box. */
const ORDER: readonly DutyKind[] = [
  'look',
  'feed',
  'water',
  'dampen',
  'clean',
  'read',
  'check',
  'measure',
  'weigh',
]

/** A weight is taken of anybody, whether it is due or not: its column stands on every sheet. */
export const WEIGHT = 'weight'

function unitOfDuty({ duty }: Task): string {
  if (duty.does === 'measure') return 'mm'
  return duty.reads ? unitOf(duty.reads.what) : ''
}

/** Feeding is one column whatever it is called: what is given stands in the cell. */
function columnOf(task: Task): SheetColumn {
  const { does } = task.duty
  const bare = does === 'feed' ? words.duty.feed : dutyName(task)
  const unit = unitHere(unitOfDuty(task))
  const name = unit === '' ? bare : t('withUnit', { name: bare, unit })
  return { key: does === 'weigh' ? WEIGHT : `${does} ${name}`, does, name }
}

/** The sheet of a bay on one day: a line for each resident in walking order, a column for each duty that anybody
 * there still has. */
export function sheetOf(
  residents: readonly string[],
  dayOf: (resident: string) => Pick<ResidentDay, 'tasks'>,
): BaySheet {
  const columns = new Map<string, SheetColumn>()
  const rows = residents.map((resident): SheetRow => {
    const tasks = new Map<string, Task[]>()
    for (const task of dayOf(resident).tasks) {
      if (task.status === 'notYet') continue
      const column = columnOf(task)
      if (isToDo(task) && column.key !== WEIGHT) columns.set(column.key, column)
      tasks.set(column.key, [...(tasks.get(column.key) ?? []), task])
    }
    return { resident, tasks }
  })
  const inOrder = [...columns.values()].sort(
    (a, b) => ORDER.indexOf(a.does) - ORDER.indexOf(b.does) || a.name.localeCompare(b.name),
  )
  return { columns: inOrder, rows }
}
