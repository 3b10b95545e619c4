import type { Draft, FactKind, Task } from '@kobrin/core'
import { doubtAbout, isToDo, kindOf } from '@kobrin/core'
import { computed, reactive } from 'vue'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import { partsOf } from '../exceptions/careExceptions.ts'
import { confirmed } from '../exceptions/confirmed.ts'
import { checkAgainst } from '../fields/checkAgainst.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import type { Face } from '../walk/stops.ts'
import { sayDoubt } from '../words/doubts.ts'
import type { CellRead } from './readCell.ts'
import type { Whom } from './readCell.ts'
import { allAsPlanned, PLANNED, readCell, readNote, readWeight } from './readCell.ts'
import type { SheetRow } from './sheet.ts'
import { WEIGHT } from './sheet.ts'
import { useBaySheet } from './useBaySheet.ts'
import { t } from './words.ts'

/** Columns that stand on every sheet: the tick for a whole line, a weight, a note. */
export const EXTRAS = ['all', WEIGHT, 'note'] as const
export type ExtraColumn = (typeof EXTRAS)[number]

/** A cell that was filled in: what it says, or why that cannot be kept as it stands. */
type Judged = { drafts: Draft[] } | { complaint: string }

/** The sheet of one bay on one day, and what is typed into it from paper. */
export function usePaperRound(face: Face, day: number) {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const residents = useResidents()
  const people = usePeople()
  const today = useToday()
  const { sheet, placeOf } = useBaySheet(
    () => face,
    () => day,
  )

  const form = reactive<{ cells: Record<string, string> }>({ cells: {} })
  const draft = useDraft(`paper ${face.bay.id} ${day}`, form)

  /** Duties of a cell that can still be said to be done. */
  function openIn(row: SheetRow, column: string): Task[] {
    return (row.tasks.get(column) ?? []).filter((task) => isToDo(task) || task.status === 'open')
  }

  function typedIn(resident: string, column: string): string {
    return form.cells[`${resident} ${column}`] ?? ''
  }

  function type(resident: string, column: string, text: string): void {
    form.cells = { ...form.cells, [`${resident} ${column}`]: text }
  }

  /** The server holds it against the same schema, and a colleague against what came before. */
  function objection(
    draft: Draft,
    resident: string,
  ): { complaint: string } | { keep: Draft; asks: string | null } {
    if (!people.maySay(draft)) return { complaint: t('notYours') }
    const [wrong] = Object.values(checkAgainst(kindOf(draft.kind as FactKind).payload, draft.payload)).flat()
    if (wrong) return { complaint: wrong.message }
    const one = site.residents.get(resident)
    const doubt = one && doubtAbout(draft, { day, state: record.stateOf(resident), plan: plans.planOf(one) })
    return doubt
      ? { keep: confirmed(draft, doubt), asks: sayDoubt(doubt, today.day) }
      : { keep: draft, asks: null }
  }

  function judged(read: CellRead | null, resident: string, typed: string): Judged | null {
    if (read === null || 'complaint' in read) return read
    const drafts: Draft[] = []
    for (const said of read.drafts) {
      const told = objection(said, resident)
      if ('complaint' in told) return told
      if (told.asks !== null && !read.insists)
        return { complaint: t('insist', { doubt: told.asks, typed: typed.trim() }) }
      drafts.push(told.keep)
    }
    return { drafts }
  }

  function readIn(row: SheetRow, column: string): CellRead | null {
    const { resident } = row
    const typed = typedIn(resident, column)
    if (column === WEIGHT) return readWeight(typed, resident, openIn(row, WEIGHT)[0])
    if (column === 'note') return readNote(typed, resident)
    return readCell(typed, whomOf(resident), openIn(row, column))
  }

  function whomOf(resident: string): Whom {
    const one = site.residents.get(resident)
    const group = one && site.species.get(one.sheet)?.group
    const [part = 'length'] = group ? partsOf(group) : []
    return { resident, home: residents.homeOf(resident), sheet: one?.sheet ?? '', part }
  }

  /** What a line says: its cells, and where it is ticked as a whole everything else that is due. */
  function lineOf(row: SheetRow): ReadonlyMap<string, Judged> {
    const line = new Map<string, Judged>()
    const put = (column: string, read: CellRead | null) => {
      const said = judged(read, row.resident, typedIn(row.resident, column))
      if (said) line.set(column, said)
    }
    const columns = [...row.tasks.keys()]
    for (const column of new Set([...columns, WEIGHT, 'note'])) put(column, readIn(row, column))
    const whole = typedIn(row.resident, 'all').trim().toLowerCase()
    if (whole === '') return line
    const rest = columns.filter((column) => typedIn(row.resident, column).trim() === '')
    const drafts = allAsPlanned(
      whomOf(row.resident),
      rest.flatMap((column) => openIn(row, column)),
    )
    put(
      'all',
      whole === PLANNED
        ? { drafts, insists: true }
        : { complaint: t('notRead', { typed: whole, may: t('legendPlanned') }) },
    )
    return line
  }

  const lines = computed(() => new Map(sheet.value.rows.map((row) => [row.resident, lineOf(row)])))
  const said = computed(() => [...lines.value.values()].flatMap((line) => [...line.values()]))
  const drafts = computed(() => said.value.flatMap((one) => ('drafts' in one ? one.drafts : [])))
  const wrong = computed(() => said.value.filter((one) => 'complaint' in one).length)

  function complaintAt(resident: string, column: string): string {
    const found = lines.value.get(resident)?.get(column)
    return found && 'complaint' in found ? found.complaint : ''
  }

  /** Keeps what was typed as one doing. False while something of it cannot be kept. */
  function keep(when: When): boolean {
    const count = drafts.value.length
    if (wrong.value > 0 || count === 0) return false
    record.keep(drafts.value, t('kept', { bay: face.bay.name, count }), { together: true, when })
    draft.anew()
    return true
  }

  return { sheet, draft, drafts, wrong, placeOf, openIn, typedIn, type, complaintAt, keep }
}

export type PaperRound = ReturnType<typeof usePaperRound>
