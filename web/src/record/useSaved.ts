import type { Entry } from '@kobrin/core'
import { isoDay } from '@kobrin/core'
import { shallowRef } from 'vue'
import { saveFile } from '../app/saveFile.ts'
import { useRecord } from '../entries/useRecord.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import { useVerdicts } from '../verdicts/useVerdicts.ts'
import { sayCadence } from '../words/cadence.ts'
import { care } from '../words/care.ts'
import { dutyName, sayHold, sayOffering, sayVerdict } from '../words/cell.ts'
import { sayEntry } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import type { Whose } from './recordFile.ts'
import { recordFile } from './recordFile.ts'
import { recordDocument } from './recordPdf.ts'
import { t } from './words.ts'

/** The record as it goes along with an animal that leaves: as data for the next program, as PDF for the next keeper. */
export function useSaved(
  id: () => string,
  shown: { entries: () => readonly Entry[]; about: () => string[] },
) {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const residents = useResidents()
  const today = useToday()
  const teller = useTeller()
  const { verdictsOf } = useVerdicts()
  const complaint = shallowRef('')
  const busy = shallowRef(false)

  function whose(): Whose {
    const one = site.residents.get(id())
    return {
      house: site.site?.name ?? '',
      number: one?.accession ?? '',
      sheet: one && site.species.get(one.sheet),
      state: record.stateOf(id()),
      entries: shown.entries(),
      nameOf: site.nameOf,
      say: (entry) => sayEntry(entry, teller),
    }
  }

  function fileName({ number, state }: Whose, ending: string): string {
    return `${number} ${state.register?.name ?? ''}.${ending}`
  }

  function asData(): void {
    const about = whose()
    saveFile(fileName(about, 'json'), recordFile(about), 'application/json')
  }

  async function asTable(): Promise<void> {
    const about = whose()
    const { recordTable } = await import('./recordTable.ts')
    saveFile(fileName(about, 'csv'), recordTable(about, today.clock), 'text/csv')
  }

  function planLines(): string[] {
    return residents.dayOf(id()).tasks.map(({ duty, offering }) => {
      const meal = offering ? `: ${sayOffering(offering)}` : ''
      return `${dutyName({ duty })}, ${sayCadence(duty.cadence)}${meal}`
    })
  }

  async function asPdf(): Promise<void> {
    const about = whose()
    const one = site.residents.get(id())
    const { holds } = residents.dayOf(id())
    const document = recordDocument({
      ...about,
      about: shown.about(),
      says: [
        ...verdictsOf(id()).map((verdict) => sayVerdict(verdict, teller)),
        ...holds.map((hold) => sayHold(hold, today.day)),
      ],
      plan: planLines(),
      cautions: one ? plans.planOf(one).cautions : [],
      trusted: care.trusted,
      // With their years: it is read when this one is long past.
      asOf: isoDay(today.day),
      when: (at) => `${isoDay(today.dayOf(at))} ${today.clock(at)}`,
    })
    busy.value = true
    complaint.value = ''
    try {
      // What makes it is as large as everything else together: it comes when it is asked for.
      const { pdfOf } = await import('./pdf.ts')
      saveFile(fileName(about, 'pdf'), await pdfOf(document), 'application/pdf')
    } catch {
      complaint.value = t('notMade')
    } finally {
      busy.value = false
    }
  }

  return { asData, asTable, asPdf, busy, complaint }
}
