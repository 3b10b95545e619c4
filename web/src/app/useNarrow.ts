import type { Ref } from 'vue'
import { onScopeDispose, shallowRef } from 'vue'

/** Where the panel lies over the board; the same width stands in the styles. */
const NARROW = '(max-width: 899px)'

/** Whether there is too little room for a panel beside the board. */
export function useNarrow(): Readonly<Ref<boolean>> {
  const query = globalThis.matchMedia(NARROW)
  const narrow = shallowRef(query.matches)
  const changed = ({ matches }: MediaQueryListEvent) => (narrow.value = matches)
  query.addEventListener('change', changed)
  onScopeDispose(() => query.removeEventListener('change', changed))
  return narrow
}
