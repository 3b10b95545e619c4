import type { Barrier } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { shallowRef, toValue, watch } from 'vue'

const KEY = 'kobrin.whereabouts'

interface Kept {
  whose: string
  stopKey: string | null
  crossedTo: Barrier
}

function isKept(value: unknown): value is Kept {
  if (typeof value !== 'object' || value === null) return false
  const { whose, stopKey, crossedTo } = value as Partial<Record<keyof Kept, unknown>>
  return (
    typeof whose === 'string' &&
    (stopKey === null || typeof stopKey === 'string') &&
    [0, 1, 2, 3].includes(crossedTo as number)
  )
}

function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null')
  } catch {
    return null
  }
}

/** How far somebody has come on today's walk, and the strictest barrier they went behind. It outlives
 * a reload: a tablet that ran flat in quarantine must not lead back into the nursery.
 * `whose` names the person and the day; another person or another day begins anew. */
export function useWhereabouts(whose: MaybeRefOrGetter<string>, storage: Storage = globalThis.localStorage) {
  const stopKey = shallowRef<string | null>(null)
  const crossedTo = shallowRef<Barrier>(0)

  function recall(): void {
    const kept = parsed(storage.getItem(KEY))
    const mine = isKept(kept) && kept.whose === toValue(whose) ? kept : null
    stopKey.value = mine?.stopKey ?? null
    crossedTo.value = mine?.crossedTo ?? 0
  }

  watch(() => toValue(whose), recall, { immediate: true })
  watch([stopKey, crossedTo], () => {
    const kept = { whose: toValue(whose), stopKey: stopKey.value, crossedTo: crossedTo.value }
    storage.setItem(KEY, JSON.stringify(kept))
  })

  return { stopKey, crossedTo }
}
