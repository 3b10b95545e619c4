import type { KeptEntry } from '@kobrin/contract'
import type { Entry } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { computed, shallowRef, toValue, watch } from 'vue'
import { sayError } from '../app/sayError.ts'
import { useRecord } from '../entries/useRecord.ts'
import { api } from '../wire/api.ts'

/** The whole history of a resident, with what was entered here or elsewhere since it was read. */
export function useHistory(residentId: MaybeRefOrGetter<string>) {
  const record = useRecord()
  const read = shallowRef<readonly KeptEntry[]>([])
  const complaint = shallowRef('')
  const loading = shallowRef(true)

  async function load(id: string): Promise<void> {
    loading.value = true
    complaint.value = ''
    read.value = []
    try {
      read.value = (await api.record(id)).entries
    } catch (error) {
      complaint.value = sayError(error)
    } finally {
      loading.value = false
    }
  }

  watch(() => toValue(residentId), load, { immediate: true })

  const entries = computed<Entry[]>(() => {
    const id = toValue(residentId)
    // Everything new reaches the record through its state, so that is what to watch.
    void record.stateOf(id)
    const known = new Set(read.value.map(({ uid }) => uid))
    return [...read.value, ...record.recent(id).filter(({ uid }) => !known.has(uid))]
  })

  return { entries, complaint, loading }
}
