import type { WeightAheadInput, WhatIf } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import type { ToWeightAhead } from './weightAheadWorker.ts'
import { useWeightAhead } from './useWeightAhead.ts'

const INPUT = { readings: [], weighing: { r: 0.02, q: 1e-8 }, day: 100, until: 130 } as WeightAheadInput

function beside() {
  const opened: { asked: ToWeightAhead[]; ended: boolean; answer: (data: unknown) => void }[] = []
  const open = () => {
    const mine = {
      asked: [] as ToWeightAhead[],
      ended: false,
      answer: (data: unknown): void => {
        worker.onmessage?.call(worker as Worker, { data } as MessageEvent)
      },
    }
    const worker: Pick<Worker, 'postMessage' | 'terminate' | 'onmessage'> = {
      onmessage: null,
      postMessage: (message: ToWeightAhead) => void mine.asked.push(message),
      terminate: () => void (mine.ended = true),
    }
    opened.push(mine)
    return worker
  }
  const input = shallowRef<WeightAheadInput | null>(INPUT)
  const whatIf = shallowRef<WhatIf>({})
  const scope = effectScope()
  const told = scope.run(() =>
    useWeightAhead(
      () => input.value,
      () => whatIf.value,
      open,
    ),
  )
  if (!told) throw new Error('The scope had ended.')
  return { opened, input, whatIf, scope, ...told }
}

describe('what is worked out beside the page', () => {
  it('stands until something else is asked, and the next answer takes its place', async () => {
    const { opened, weightAhead, busy, whatIf } = beside()
    expect(busy.value).toBe(true)
    opened[0]?.answer({ band: [1] })
    expect([weightAhead.value, busy.value]).toEqual([{ band: [1] }, false])
    whatIf.value = { every: 7 }
    await nextTick()
    expect([weightAhead.value, busy.value, opened.length]).toEqual([{ band: [1] }, true, 1])
    expect(opened[0]?.asked.at(-1)?.whatIf).toEqual({ every: 7 })
  })

  it('is ended when something else is asked before it is done', async () => {
    const { opened, weightAhead, whatIf } = beside()
    whatIf.value = { target: 50 }
    await nextTick()
    expect(opened.map(({ ended }) => ended)).toEqual([true, false])
    opened[1]?.answer({ band: [2] })
    expect(weightAhead.value).toEqual({ band: [2] })
  })

  it('is ended by hand, with the page, and where there is nothing to ask', async () => {
    const byHand = beside()
    byHand.stop()
    expect([byHand.opened[0]?.ended, byHand.busy.value]).toEqual([true, false])
    const gone = beside()
    gone.input.value = null
    await nextTick()
    expect([gone.opened[0]?.ended, gone.weightAhead.value]).toEqual([true, null])
    const page = beside()
    page.scope.stop()
    expect(page.opened[0]?.ended).toBe(true)
  })
})
