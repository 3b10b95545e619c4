import { shallowReactive } from 'vue'
import type { WaitingStore } from '../entries/waitingStore.ts'

type PhotoStore = Pick<WaitingStore, 'photo' | 'photoIds' | 'onPhoto'>

interface Addresses {
  make: (file: Blob) => string
  free: (url: string) => void
}

const BROWSER: Addresses = {
  make: (file) => URL.createObjectURL(file),
  // Anyone who shows it has to take the one of the house first.
  free: (url) => setTimeout(() => URL.revokeObjectURL(url), 10_000),
}

/** The pictures that wait on this device, by name, with the address each is shown from. It follows what the store
 * reports: a picture is here until the store says that it left. */
export function picturesHere(store: PhotoStore, addresses: Addresses = BROWSER) {
  const here = shallowReactive(new Map<string, string>())
  const left = new Set<string>()

  function show(id: string, file: Blob): void {
    if (!here.has(id) && !left.has(id)) here.set(id, addresses.make(file))
  }

  async function showStored(id: string): Promise<void> {
    const photo = await store.photo(id).catch(() => undefined)
    if (photo) show(id, new Blob([photo.bytes], { type: photo.type }))
  }

  function forget(id: string): void {
    left.add(id)
    const url = here.get(id)
    if (url === undefined) return
    here.delete(id)
    addresses.free(url)
  }

  const stop = store.onPhoto((change) => {
    if (change.type === 'left') forget(change.id)
    else void showStored(change.id)
  })

  return {
    here: here as ReadonlyMap<string, string>,
    show,
    /** Takes up what lay here when the page was opened. */
    recall: async (): Promise<void> => {
      await Promise.all((await store.photoIds().catch((): string[] => [])).map(showStored))
    },
    stop,
  }
}
