import type { Barrier } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { shallowRef, toValue, watch } from 'vue'

const KEY = 'kobrin.whereabouts'

interface Kept {
  whose: string
  day: number
  stopKey: string | null
  crossedTo: Barrier
}

function isKept(value: unknown): value is Kept {
  if (typeof value !== 'object' || value === null) return false
  const { whose, day, stopKey, crossedTo } = value as Partial<Record<keyof Kept, unknown>>
  return (
    typeof whose === 'string' &&
    typeof day === 'number' &&
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
 * Another person starts over. Another day does too, but not under a hand: anyone who is on the walk at midnight
 * stays where they are. */
export function useWhereabouts(
  { whose, day }: { whose: MaybeRefOrGetter<string>; day: MaybeRefOrGetter<number> },
  storage: Storage = globalThis.localStorage,
) {
  const stopKey = shallowRef<string | null>(null)
  const crossedTo = shallowRef<Barrier>(0)

  function recall(): void {
    const kept = parsed(storage.getItem(KEY))
    const mine = isKept(kept) && kept.whose === toValue(whose) && kept.day === toValue(day) ? kept : null
    stopKey.value = mine?.stopKey ?? null
    crossedTo.value = mine?.crossedTo ?? 0
  }

  watch(() => toValue(whose), recall, { immediate: true })
  watch([stopKey, crossedTo], () => {
    const kept: Kept = {
      whose: toValue(whose),
      day: toValue(day),
      stopKey: stopKey.value,
      crossedTo: crossedTo.value,
    }
    storage.setItem(KEY, JSON.stringify(kept))
  })

  return { stopKey, crossedTo }
}
