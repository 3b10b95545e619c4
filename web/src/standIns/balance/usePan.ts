import { useIntervalFn } from '@vueuse/core'
import { shallowRef } from 'vue'

/** What lies on the pan, as the stand-in is told. */
export interface Load {
  grams: number
  tub: number
  lively: number
}

const LOOK_MS = 150

/** What the stand-in shows, and what is put on it. */
export function usePan(fetching: typeof fetch = fetch.bind(globalThis)) {
  /** As it says it; null while it cannot be reached. */
  const line = shallowRef<string | null>(null)
  const load = shallowRef<Load>({ grams: 0, tub: 0, lively: 0 })

  async function ask(init?: RequestInit): Promise<void> {
    try {
      const answer = await fetching('/pan', init)
      if (!answer.ok) throw new Error(`It answered ${answer.status}.`)
      const shown = (await answer.json()) as { line: string; load: Load }
      line.value = shown.line
      load.value = shown.load
    } catch {
      line.value = null
    }
  }

  useIntervalFn(() => void ask(), LOOK_MS, { immediateCallback: true })

  function put(next: Load): Promise<void> {
    return ask({
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(next),
    })
  }

  return { line, load, put }
}
