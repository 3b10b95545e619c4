import { nextTick } from 'vue'
import { expect, it } from 'vitest'
import { startHandling, useHandling } from './useHandling.ts'

it('letters are as large as this device says, and as usual where it says nothing that is known', async () => {
  const { letterSize } = useHandling()
  startHandling()
  const { style } = document.documentElement
  expect(style.fontSize).toBe('100%')
  letterSize.value = 'largest'
  await nextTick()
  expect(style.fontSize).toBe('140%')
  letterSize.value = 'huge' as never
  await nextTick()
  expect(style.fontSize).toBe('100%')
})
