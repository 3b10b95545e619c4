import type { BodyPart, Doubt, Draft, Tub, WeighingDoubt } from '@kobrin/core'
import { conditionDue, doubtAbout, expectedWeight, isToDo, partsDue, weighingDoubt } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { computed, toValue } from 'vue'
import { scaleOf } from '../condition/scales.ts'
import { useRecord } from '../entries/useRecord.ts'
import { partsOf } from '../kinds/growth.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import { weighTask } from './useRound.ts'

/** Where it is weighed. */
export interface Bench {
  /** What it sits in; what is typed then is with it. */
  tub: MaybeRefOrGetter<Tub | null>
  tubs: MaybeRefOrGetter<readonly Tub[]>
  when: MaybeRefOrGetter<When>
}

const JUST_NOW_MS = 60_000

/** What is known of an animal when it is laid on the balance: what it should weigh, and what else of it is due. */
export function useAtBalance(residentId: string, { tub, tubs, when }: Bench) {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const residents = useResidents()
  const today = useToday()

  const known = computed(() => {
    const one = site.residents.get(residentId)
    const day = toValue(when)?.day ?? today.day
    return one && { day, state: record.stateOf(residentId), plan: plans.planOf(one) }
  })
  const expected = computed(() => known.value && expectedWeight(known.value))
  const task = computed(() => weighTask(residents.dayOf(residentId).tasks))
  const group = computed(() => site.species.get(site.residents.get(residentId)?.sheet ?? '')?.group)
  const scale = computed(() => known.value && scaleOf(known.value.plan))
  const scoreDue = computed(() => scale.value && known.value && conditionDue(known.value) !== null)
  /** What of it is to be measured: by the plan, or since food and box depend on it. */
  const parts = computed<readonly BodyPart[]>(() => {
    const due = known.value ? partsDue(known.value) : []
    const planned = residents
      .dayOf(residentId)
      .tasks.some((task) => task.duty.does === 'measure' && isToDo(task))
    const [first] = group.value ? partsOf(group.value) : []
    return planned && first !== undefined && !due.includes(first) ? [first, ...due] : due
  })

  /** Who was weighed a moment ago. */
  function justNow() {
    if (toValue(when) !== null) return undefined
    const since = new Date(Date.parse(today.moment().at) - JUST_NOW_MS).toISOString()
    return record
      .recent(residentId)
      .findLast(({ kind, occurredAt }) => kind === 'weighed' && occurredAt > since)
  }

  /** What to ask about something before it is kept. */
  function doubtOf(said: Draft): Doubt | WeighingDoubt | null {
    if (!known.value) return null
    if (said.kind !== 'weighed') return doubtAbout(said, known.value)
    const before = justNow()
    const bench = {
      tub: toValue(tub),
      tubs: toValue(tubs),
      justNow: before?.kind === 'weighed' ? before.payload.grams : null,
    }
    return weighingDoubt(said, known.value, bench)
  }

  return { known, expected, task, parts, scale, scoreDue, justNow, doubtOf }
}
