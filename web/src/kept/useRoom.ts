import { onMounted, shallowRef } from 'vue'
import { spaced } from '../words/spaced.ts'
import { t } from './words.ts'

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
    const told = (bytes: number) => t('mb', { bytes: spaced(Math.round(bytes / MB)) })
    const stays = isPromised ? t('itStaysUntilIt') : t('theBrowserMayClear')
    says.value = t('onThisDeviceOf', { told: told(usage), told2: told(quota), stays })
  })
  return says
}
