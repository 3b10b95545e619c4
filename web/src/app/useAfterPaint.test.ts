import { describe, expect, it } from 'vitest'
import { effectScope, shallowRef } from 'vue'
import { useAfterPaint } from './useAfterPaint.ts'

function lagging() {
  const tasks: (() => void)[] = []
  const count = shallowRef(1)
  let computed = 0
  const scope = effectScope()
  const double = scope.run(() =>
    useAfterPaint(
      () => {
        computed += 1
        return count.value * 2
      },
      { later: (task) => tasks.push(task) },
    ),
  )
  const paint = () => tasks.splice(0).forEach((task) => task())
  return { count, double: () => double?.value, computed: () => computed, paint, scope }
}

describe('what may lag behind a frame', () => {
  it('is there at once, and follows after the paint', () => {
    const { count, double, paint } = lagging()
    expect(double()).toBe(2)
    count.value = 5
    expect(double()).toBe(2)
    paint()
    expect(double()).toBe(10)
  })

  it('is computed once for many changes', () => {
    const { count, double, computed, paint } = lagging()
    for (let next = 2; next < 50; next += 1) count.value = next
    paint()
    expect([double(), computed()]).toEqual([98, 2])
  })

  it('stops with what it belongs to', () => {
    const { count, computed, paint, scope } = lagging()
    scope.stop()
    count.value = 9
    paint()
    expect(computed()).toBe(1)
  })
})
