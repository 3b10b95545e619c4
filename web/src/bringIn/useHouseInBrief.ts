import { computed } from 'vue'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'
import type { HouseInBrief } from './list.ts'
import { t } from './words.ts'

/** What this house knows that a list is held against. */
export function useHouseInBrief() {
  const site = useSite()
  const plans = usePlans()
  const residents = useResidents()
  const today = useToday()

  const bounds = computed(() => {
    const boundsBy: Record<string, HouseInBrief['bounds'][string]> = {}
    for (const sheet of site.species.values())
      for (const { id } of sheet.stages)
        boundsBy[`${sheet.id} ${id}`] = plans.planForNewcomer(sheet, id)?.bounds
    return boundsBy
  })

  return (): HouseInBrief => ({
    residents: [...site.residents.values()].map(({ id, accession, name, sheet, stage }) => ({
      id,
      number: accession,
      name,
      sheet,
      stage,
      place: residents.homeOf(id) ?? null,
    })),
    sheets: [...site.species.values()],
    boxes: site.standing.map(({ id }) => ({
      id,
      name: site.placeName(id),
      taken: residents.isTaken(id),
    })),
    bounds: bounds.value,
    now: today.civilMoment(),
    zone: today.zone,
    hemisphere: site.site?.hemisphere,
    says: { longPast: t('longPast'), someFood: t('someFood') },
  })
}
