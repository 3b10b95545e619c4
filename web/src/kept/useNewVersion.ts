import { Workbox } from 'workbox-window'
import { newVersion } from './newVersion.ts'

const HOUR_MS = 3_600_000

/** A newer one lies on this device. */
let isHere = false
let workbox: Workbox | null = null
/** Another tab took it: what this one has not fetched yet is no longer there. */
let isTaken = false
let isAsked = false

function controlled(): void {
  isTaken = true
  if (isAsked) globalThis.location.reload()
  else newVersion.isHere()
}

/** Keeps the interface on this device, and says when a newer one lies ready. It is never taken under a hand. */
export async function keepInterface(): Promise<void> {
  if (workbox || !('serviceWorker' in navigator)) return
  let isFirst = navigator.serviceWorker.controller === null
  workbox = new Workbox('/serviceWorker.js', { type: 'module' })
  workbox.addEventListener('waiting', () => {
    isHere = true
    newVersion.isHere()
  })
  workbox.addEventListener('controlling', () => {
    // The first one to come takes nothing from anybody.
    if (!isFirst) controlled()
    isFirst = false
  })
  try {
    const registered = await workbox.register()
    newVersion.onOutgrown(() => void registered?.update().catch(() => undefined))
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
    waits: newVersion.waits,
    take: (): void => {
      isAsked = true
      if (isHere && !isTaken) workbox?.messageSkipWaiting()
      else globalThis.location.reload()
    },
  }
}
