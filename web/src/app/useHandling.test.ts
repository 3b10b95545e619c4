import { nextTick } from 'vue'
import { beforeEach, expect, it, vi } from 'vitest'

beforeEach(() => {
  vi.resetModules()
  localStorage.clear()
})

async function opened() {
  const { startHandling, useHandling } = await import('./useHandling.ts')
  startHandling()
  return { ...useHandling(), style: document.documentElement.style }
}

it('letters are as large as this device says', async () => {
  const { letterSize, style } = await opened()
  expect(style.fontSize).toBe('100%')
  letterSize.value = 'largest'
  await nextTick()
  expect(style.fontSize).toBe('140%')
})

it('letters are as usual where the device says nothing that is known', async () => {
  localStorage.setItem('kobrin.letterSize', 'huge')
  const { letterSize, style } = await opened()
  expect(letterSize.value).toBe('usual')
  expect(style.fontSize).toBe('100%')
})
