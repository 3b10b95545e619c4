import type { CurvesState } from '@kobrin/contract'
import { OFFICE_ROUTES } from '@kobrin/contract'
import type { OffCurve } from '@kobrin/core'
import { defineStore } from 'pinia'
import { shallowReactive, watch } from 'vue'
import { keyOf, queries, useAnswerOf } from '../api/queries.ts'

/** Who left its own growth curve, as the server said last. */
export const useCurves = defineStore('curves', () => {
  // By resident: when one leaves its curve, the others are not judged again.
  const off = shallowReactive(new Map<string, OffCurve>())

  function hear({ off: offNow }: Pick<CurvesState, 'off'>): void {
    for (const id of off.keys()) if (!offNow[id]) off.delete(id)
    for (const [id, one] of Object.entries(offNow)) {
      const before = off.get(id)
      if (before?.on !== one.on || before.grams !== one.grams) off.set(id, one)
    }
  }

  return { offOf: (id: string) => off.get(id) ?? null, hear }
})

/** Asks the server who that is, when a page is opened and when told to. */
export function useAskedCurves() {
  const curves = useCurves()
  const { answer, complaint } = useAnswerOf(OFFICE_ROUTES.curves)
  const again = () => void queries.invalidateQueries({ queryKey: keyOf(OFFICE_ROUTES.curves) })
  watch(answer, (offNow) => offNow && curves.hear(offNow), { immediate: true })
  // No feed tells of a fit.
  again()
  return { answer, complaint, again }
}
