import { onMounted, shallowRef } from 'vue'
import { spaced } from '../words/numbers.ts'

const MB = 1_000_000

/** How much this device keeps, of how much it may, and whether it has promised to. Empty where the browser does not
 * tell. */
export function useRoom() {
  const says = shallowRef('')
  onMounted(async () => {
    const { storage } = navigator as { storage?: StorageManager }
    if (!storage) return
    const [{ usage = 0, quota = 0 }, isPromised] = await Promise.all([
      storage.estimate(),
      storage.persisted(),
    ])
    const told = (bytes: number) => `${spaced(Math.round(bytes / MB))} MB`
    const stays = isPromised
      ? 'It stays until it is taken away by hand.'
      : 'The browser may clear it when it runs short.'
    says.value = `On this device: ${told(usage)} of ${told(quota)}. ${stays}`
  })
  return says
}
