import type { Outlook, OutlookInput, WhatIf } from '@kobrin/core'
import { onScopeDispose, shallowReadonly, shallowRef, watch } from 'vue'
import type { FromOutlook, ToOutlook } from './outlookWorker.ts'

function openWorker(): Worker {
  return new Worker(new URL('./outlookWorker.ts', import.meta.url), { type: 'module' })
}

/** What the weights say of what comes, worked out beside the page. What is asked anew ends what is still on its
 * way; meanwhile the last answer stands. */
export function useOutlook(
  input: () => OutlookInput | null,
  whatIf: () => WhatIf,
  open: () => Pick<Worker, 'postMessage' | 'terminate' | 'onmessage'> = openWorker,
) {
  const outlook = shallowRef<Outlook | null>(null)
  const busy = shallowRef(false)
  let worker: ReturnType<typeof open> | null = null

  function stop(): void {
    worker?.terminate()
    worker = null
    busy.value = false
  }

  function ask(message: ToOutlook): void {
    if (busy.value) stop()
    worker ??= open()
    busy.value = true
    worker.onmessage = ({ data }: MessageEvent<FromOutlook>) => {
      busy.value = false
      outlook.value = data
    }
    worker.postMessage(message)
  }

  watch(
    [input, whatIf],
    ([known, asked]) => {
      if (known) return ask({ input: known, whatIf: asked })
      stop()
      outlook.value = null
    },
    { immediate: true },
  )
  onScopeDispose(stop)

  return { outlook: shallowReadonly(outlook), busy: shallowReadonly(busy), stop }
}
