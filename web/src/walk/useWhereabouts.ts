import type { Barrier } from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { shallowRef, toValue, watch } from 'vue'
import * as z from 'zod/mini'
import { readStored } from '../kept/useStored.ts'

const KEY = 'kobrin.whereabouts'

const Kept = z.object({
  whose: z.string(),
  day: z.number(),
  stopKey: z.nullable(z.string()),
  crossedTo: z.literal([0, 1, 2, 3]),
})
type Kept = z.infer<typeof Kept>

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
    const kept = readStored(Kept, storage.getItem(KEY))
    const mine = kept?.whose === toValue(whose) && kept.day === toValue(day) ? kept : null
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
