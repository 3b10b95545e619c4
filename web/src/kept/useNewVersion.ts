import { shallowReadonly, shallowRef } from 'vue'
import { Workbox } from 'workbox-window'

const HOUR_MS = 3_600_000

const waits = shallowRef(false)
let workbox: Workbox | null = null
/** Another tab took it: what this one has not fetched yet is no longer there. */
let isTaken = false
let isAsked = false

function controlled(): void {
  isTaken = true
  if (isAsked) globalThis.location.reload()
  else waits.value = true
}

/** Keeps the interface on this device, and says when a newer one lies ready. It is never taken under a hand. */
export async function keepInterface(): Promise<void> {
  if (workbox || !('serviceWorker' in navigator)) return
  let isFirst = navigator.serviceWorker.controller === null
  workbox = new Workbox('/serviceWorker.js', { type: 'module' })
  workbox.addEventListener('waiting', () => (waits.value = true))
  workbox.addEventListener('controlling', () => {
    // The first one to come takes nothing from anybody.
    if (!isFirst) controlled()
    isFirst = false
  })
  try {
    const registered = await workbox.register()
    setInterval(() => void registered?.update().catch(() => undefined), HOUR_MS)
  } catch {
    // Where the browser keeps nothing the interface comes over the line each time.
  }
  void askToStay()
}

/** What is kept here goes when the device runs short, unless the browser is asked to leave it. */
async function askToStay(): Promise<void> {
  const { storage } = navigator as { storage?: StorageManager }
  if (storage && !(await storage.persisted())) await storage.persist()
}

export function useNewVersion() {
  return {
    waits: shallowReadonly(waits),
    take: (): void => {
      isAsked = true
      if (isTaken) globalThis.location.reload()
      else workbox?.messageSkipWaiting()
    },
  }
}
