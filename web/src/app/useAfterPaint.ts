import type { ShallowRef } from 'vue'
import { onScopeDispose, ReactiveEffect, shallowReadonly, shallowRef } from 'vue'

export function afterNextPaint(task: () => void): void {
  requestAnimationFrame(() => setTimeout(task))
}

/** Something worth showing that may lag behind by a frame: totals over a whole house must not keep
 * a finger waiting. Computed again once, after the frame that shows what it depends on. */
export function useAfterPaint<T>(
  get: () => T,
  { later = afterNextPaint }: { later?: (task: () => void) => void } = {},
): Readonly<ShallowRef<T>> {
  const effect = new ReactiveEffect(get)
  const value: ShallowRef<T> = shallowRef(effect.run())
  let isWaiting = false
  effect.scheduler = () => {
    if (isWaiting) return
    isWaiting = true
    later(() => {
      isWaiting = false
      if (effect.dirty) value.value = effect.run()
    })
  }
  onScopeDispose(() => effect.stop())
  return shallowReadonly(value)
}
