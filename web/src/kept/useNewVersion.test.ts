import { beforeEach, describe, expect, it, vi } from 'vitest'

const stand = vi.hoisted(() => ({ heard: new Map<string, () => void>(), skipped: 0 }))
vi.mock('workbox-window', () => ({
  Workbox: class {
    addEventListener = (name: string, act: () => void) => void stand.heard.set(name, act)
    register = () => Promise.resolve(undefined)
    messageSkipWaiting = () => (stand.skipped += 1)
  },
}))

const reload = vi.fn()

/** A tab in which a version is already at work, or the very first visit. */
async function tab({ controller }: { controller: object | null } = { controller: {} }) {
  vi.resetModules()
  vi.stubGlobal('navigator', { serviceWorker: { controller } })
  vi.stubGlobal('location', { reload })
  const { keepInterface, useNewVersion } = await import('./useNewVersion.ts')
  await keepInterface()
  return useNewVersion()
}

beforeEach(() => {
  stand.heard.clear()
  stand.skipped = 0
  reload.mockClear()
})

describe('a newer version', () => {
  it('waits until it is taken, and then the page is read anew', async () => {
    const { waits, take } = await tab()
    expect(waits.value).toBe(false)
    stand.heard.get('waiting')?.()
    expect([waits.value, stand.skipped, reload.mock.calls.length]).toEqual([true, 0, 0])
    take()
    expect(stand.skipped).toBe(1)
    stand.heard.get('controlling')?.()
    expect(reload).toHaveBeenCalledTimes(1)
  })

  it('that another tab took is offered here, and never reloads under a hand', async () => {
    const { waits, take } = await tab()
    stand.heard.get('controlling')?.()
    expect([waits.value, reload.mock.calls.length]).toEqual([true, 0])
    take()
    expect([stand.skipped, reload.mock.calls.length]).toEqual([0, 1])
  })

  it('is not what comes with the first visit', async () => {
    const { waits } = await tab({ controller: null })
    stand.heard.get('controlling')?.()
    expect(waits.value).toBe(false)
    stand.heard.get('controlling')?.()
    expect(waits.value).toBe(true)
  })
})
