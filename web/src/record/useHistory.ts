import { ROUTES } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { computed, shallowRef, toValue, watch } from 'vue'
import { useRecord } from '../entries/useRecord.ts'
import { kept } from '../kept/keptStore.ts'
import { useAnswerOf } from '../api/queries.ts'

/** The whole history of a resident, with what was entered here or elsewhere since it was read. */
export function useHistory(residentId: MaybeRefOrGetter<string>) {
  const record = useRecord()
  const id = () => toValue(residentId)
  const { answer, complaint } = useAnswerOf(ROUTES.record, () => ({ params: { subject: id() } }))
  const loading = computed(() => answer.value === null && complaint.value === '')
  /** What of it lies on this device, where the whole of it was never read and cannot be now. */
  const lately = shallowRef<readonly Entry[]>([])
  const wanted = () => complaint.value !== '' && id()
  watch(
    wanted,
    async (subject) => {
      const entries = subject ? await kept.lately(subject) : []
      // Somebody else may have been turned to meanwhile.
      if (subject === wanted()) lately.value = entries
    },
    { immediate: true },
  )

  const entries = computed<Entry[]>(() => {
    // Everything new reaches the record through its state, so that is what to watch.
    void record.stateOf(id())
    const read = answer.value?.entries ?? lately.value
    const known = new Set(read.map(({ uid }) => uid))
    return [...read, ...record.recent(id()).filter(({ uid }) => !known.has(uid))]
  })

  return { entries, complaint, loading, isPart: computed(() => lately.value.length > 0) }
}
