import type { WeightAhead, WeightAheadInput, WhatIf } from '@kobrin/core'
import { onScopeDispose, shallowReadonly, shallowRef, watch } from 'vue'
import type { FromWeightAhead, ToWeightAhead } from './weightAheadWorker.ts'

function openWorker(): Worker {
  return new Worker(new URL('./weightAheadWorker.ts', import.meta.url), { type: 'module' })
}

/** What the weights say of what comes, worked out beside the page. What is asked again ends what is still on its
 * way; meanwhile the last answer stands. */
export function useWeightAhead(
  input: () => WeightAheadInput | null,
  whatIf: () => WhatIf,
  open: () => Pick<Worker, 'postMessage' | 'terminate' | 'onmessage'> = openWorker,
) {
  const weightAhead = shallowRef<WeightAhead | null>(null)
  const busy = shallowRef(false)
  let worker: ReturnType<typeof open> | null = null

  function stop(): void {
    worker?.terminate()
    worker = null
    busy.value = false
  }

  function ask(message: ToWeightAhead): void {
    if (busy.value) stop()
    worker ??= open()
    busy.value = true
    worker.onmessage = ({ data }: MessageEvent<FromWeightAhead>) => {
      busy.value = false
      weightAhead.value = data
    }
    worker.postMessage(message)
  }

  watch(
    [input, whatIf],
    ([known, asked]) => {
      if (known) return ask({ input: known, whatIf: asked })
      stop()
      weightAhead.value = null
    },
    { immediate: true },
  )
  onScopeDispose(stop)

  return { weightAhead: shallowReadonly(weightAhead), busy: shallowReadonly(busy), stop }
}
