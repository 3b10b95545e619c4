import type { Tub } from '@kobrin/core'
import { computed } from 'vue'
import * as z from 'zod/mini'
import { useStored } from '../kept/useStored.ts'

const StoredTub = z.object({ label: z.string(), grams: z.number() })

/** The labelled tubs of this bench, and the one in use. They stay with the device, as they stay beside the balance;
 * which one a weight was taken in is kept with the weight. */
export function useTubs() {
  const tubs = useStored<Tub[]>('kobrin.tubs', z.array(StoredTub), [])
  const label = useStored('kobrin.tub', z.string(), '')
  const tub = computed(() => tubs.value.find((one) => one.label === label.value) ?? null)

  function keep(next: Tub): void {
    tubs.value = [...tubs.value.filter((one) => one.label !== next.label), next].sort((a, b) =>
      a.label.localeCompare(b.label),
    )
    label.value = next.label
  }

  function drop(which: string): void {
    tubs.value = tubs.value.filter((one) => one.label !== which)
    if (label.value === which) label.value = ''
  }

  return { tubs, label, tub, keep, drop }
}
