import type { Override, PlanRows, PlanOrRefusal, Planned, Sheet } from '@kobrin/core'
import { isPlan, Plan, planOf as planIn, plansOn, signedFor } from '@kobrin/core'
import { defineStore } from 'pinia'
import { computed } from 'vue'
import type { Resident } from '../site/useSite.ts'
import { useSite } from '../site/useSite.ts'
import { useToday } from '../time/useToday.ts'

/** What nobody can say anything about asks for nothing: why is shown at the resident. */
function noPlan({ sheet, stage }: Pick<Resident, 'sheet' | 'stage'>): Plan {
  return Plan.parse({ sheet, stage, duties: [], holds: [], weighing: { r: 0.03, q: 1e-7 } })
}

function plannedOf({ id, sheet, stage, schools }: Resident): Planned {
  return { id, register: { sheet, stage, schools } }
}

/** The plans in force today, made here from what they are made of. */
export const usePlans = defineStore('plans', () => {
  const site = useSite()
  const today = useToday()
  const rows = computed<PlanRows>(() => ({
    sheets: site.species,
    schools: site.book?.schools ?? {},
    overrides: signedFor(site.book?.overrides ?? []),
  }))
  const planOn = computed(() => plansOn(rows.value, today.day))

  function planOrRefusalOf(resident: Resident): PlanOrRefusal {
    return planOn.value(plannedOf(resident))
  }

  function planOf(resident: Resident): Plan {
    const plan = planOrRefusalOf(resident)
    return isPlan(plan) ? plan : noPlan(resident)
  }

  function hasPlan(resident: Resident): boolean {
    return isPlan(planOrRefusalOf(resident))
  }

  /** The plan of somebody if something were otherwise: a stage, a school, a change nobody has signed. */
  function planWith(
    resident: Resident,
    { change, siteSchools = {} }: { change?: Override; siteSchools?: Record<string, string> } = {},
  ): PlanOrRefusal {
    const { sheets, schools, overrides } = rows.value
    const signed = change
      ? new Map([...overrides, [resident.id, [...(overrides.get(resident.id) ?? []), change]]])
      : overrides
    const chosen = { ...schools, [resident.sheet]: { ...schools[resident.sheet], ...siteSchools } }
    return planIn({ sheets, schools: chosen, overrides: signed }, plannedOf(resident), today.day)
  }

  /** The plan somebody of a sheet would have here who is not on record yet; null where there is none. */
  function planForNewcomer({ id: sheet }: Pick<Sheet, 'id'>, stage: string): Plan | null {
    const made = planIn(rows.value, { id: '', register: { sheet, stage, schools: {} } }, today.day)
    return isPlan(made) ? made : null
  }

  return { rows, planOf, hasPlan, planWith, planForNewcomer }
})
