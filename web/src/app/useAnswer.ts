import type { Ref } from 'vue'
import { shallowRef, watch } from 'vue'
import { sayError } from './sayError.ts'

/** What a server answers, asked anew whenever what it is about changes. */
export function useAnswer<T>(ask: () => Promise<T>, about: () => unknown = () => null) {
  const answer = shallowRef<T | null>(null) as Ref<T | null>
  const complaint = shallowRef('')

  async function again(): Promise<void> {
    const asked = about()
    // Somebody may have gone on to another one meanwhile.
    const isCurrent = () => about() === asked
    complaint.value = ''
    try {
      const fresh = await ask()
      if (isCurrent()) answer.value = fresh
    } catch (error) {
      if (isCurrent()) complaint.value = sayError(error)
    }
  }

  watch(
    about,
    () => {
      answer.value = null
      void again()
    },
    { immediate: true },
  )
  return { answer, complaint, again }
}

/** Something somebody asks for once: whether it is on its way, and what was wrong with it. */
export function useDoing() {
  const busy = shallowRef(false)
  const complaint = shallowRef('')

  async function run(act: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    complaint.value = ''
    try {
      await act()
      return true
    } catch (error) {
      complaint.value = sayError(error)
      return false
    } finally {
      busy.value = false
    }
  }

  return { busy, complaint, run }
}
