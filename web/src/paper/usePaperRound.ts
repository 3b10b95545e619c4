import type { Draft } from '@kobrin/core'
import { doubtAbout } from '@kobrin/core'
import { computed } from 'vue'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import { partsOf } from '../kinds/growth.ts'
import { confirmed } from '../exceptions/confirmed.ts'
import { faultIn } from '../fields/faultIn.ts'
import { typedInto, useMachine } from '../machines/useMachine.ts'
import { usePeople } from '../people/usePeople.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import type { Face } from '../walk/stops.ts'
import { sayDoubt } from '../words/doubts.ts'
import type { Whom } from './readCell.ts'
import type { Objection, SheetDeed, TypedSheetEvent } from './typedSheet.ts'
import { nothingTyped, openIn, readSheet, typedAt, typeIn } from './typedSheet.ts'
import { useBaySheet } from './useBaySheet.ts'
import { t } from './words.ts'

/** What a cell of a sheet is held against, as it stood on a day. */
function useObjections(day: number) {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const residents = useResidents()
  const people = usePeople()
  const today = useToday()

  /** The server holds it against the same schema, and a colleague against what came before. */
  function objectionTo(draft: Draft, resident: string): Objection {
    if (!people.maySay(draft)) return { complaint: t('notYours') }
    const complaint = faultIn([draft])
    if (complaint) return { complaint }
    const one = site.residents.get(resident)
    const doubt = one && doubtAbout(draft, { day, state: record.stateOf(resident), plan: plans.planOf(one) })
    return doubt
      ? { keep: confirmed(draft, doubt), asks: sayDoubt(doubt, today.day) }
      : { keep: draft, asks: null }
  }

  function whomOf(resident: string): Whom {
    const one = site.residents.get(resident)
    const group = one && site.species.get(one.sheet)?.group
    const [part = 'length'] = group ? partsOf(group) : []
    return { resident, home: residents.homeOf(resident), sheet: one?.sheet ?? '', part }
  }

  return { objectionTo, whomOf }
}

/** The sheet of one bay on one day, and what is typed into it from paper. */
export function usePaperRound(face: Face, day: number) {
  const record = useRecord()
  const { sheet, placeOf } = useBaySheet(
    () => face,
    () => day,
  )
  const objections = useObjections(day)
  const here = () => ({ sheet: sheet.value, ...objections })

  function keepAll({ drafts, when }: SheetDeed): void {
    record.keep(drafts, t('kept', { bay: face.bay.name, count: drafts.length }), { together: true, when })
    tell({ type: 'kept' })
    draft.drop()
  }

  const { now, tell } = useMachine(
    nothingTyped,
    (before, event: TypedSheetEvent) => typeIn(before, event, here),
    keepAll,
  )
  const form = typedInto(
    () => now.value,
    (part) => tell({ type: 'typed', part }),
  )
  const draft = useDraft(`paper ${face.bay.id} ${day}`, form)
  const read = computed(() => readSheet(now.value, here()))

  function complaintAt(resident: string, column: string): string {
    const found = read.value.lines.get(resident)?.get(column)
    return found && 'complaint' in found ? found.complaint : ''
  }

  /** Keeps what was typed as one doing. False while something of it cannot be kept. */
  function keep(when: When): boolean {
    const before = now.value
    tell({ type: 'submitted', when })
    return now.value !== before
  }

  return {
    sheet,
    draft,
    drafts: computed(() => read.value.drafts),
    wrong: computed(() => read.value.wrong),
    placeOf,
    openIn,
    typedIn: (resident: string, column: string) => typedAt(now.value, resident, column),
    type: (resident: string, column: string, text: string) =>
      tell({ type: 'typedAt', resident, column, text }),
    complaintAt,
    keep,
  }
}
