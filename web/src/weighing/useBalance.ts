import type { Heard } from '@kobrin/contract'
import type { BalanceReading, StillAnswer } from '@kobrin/core'
import { readBalanceLine, stillWeight } from '@kobrin/core'
import { onScopeDispose, readonly, shallowRef, toValue, watch } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import type { Listen } from './balanceLines.ts'

export type BalanceState = 'none' | 'waiting' | 'away' | 'here'

/** So much of what was read is looked at: longer than any animal is waited for to hold still. */
const LOOKS_BACK_MS = 20_000
/** A balance that says nothing for so long says nothing of now. */
const SILENT_MS = 3000

/** Balances that say fifty lines a second are looked at ten times. */
const JUDGED_EVERY_MS = 90

/** Listens to a balance, and makes one weight of what it says. `tare`, grams, is taken off. */
export function useBalance(tare: MaybeRefOrGetter<number>) {
  const state = shallowRef<BalanceState>('none')
  const answer = shallowRef<StillAnswer | null>(null)
  /** The smallest step it was seen to show, grams. */
  const step = shallowRef(Infinity)
  let readings: BalanceReading[] = []
  let judgedAt = -Infinity
  let stop: (() => void) | null = null
  let silence: ReturnType<typeof setTimeout> | undefined

  function judge(): void {
    answer.value =
      readings.length === 0 ? null : stillWeight(readings, { graduation: step.value, tare: toValue(tare) })
  }

  function away(): void {
    if (stop) state.value = 'away'
    readings = []
    judge()
  }

  function hear(heard: Heard): void {
    if (!heard) return away()
    const read = readBalanceLine(heard.line)
    if (!read) return
    clearTimeout(silence)
    silence = setTimeout(away, SILENT_MS)
    state.value = 'here'
    step.value = Math.min(step.value, read.step)
    readings = [
      ...readings.filter(({ ms }) => ms > heard.ms - LOOKS_BACK_MS),
      { ms: heard.ms, grams: read.grams, unstable: read.unstable },
    ]
    if (heard.ms - judgedAt < JUDGED_EVERY_MS && heard.ms >= judgedAt) return
    judgedAt = heard.ms
    judge()
  }

  function leave(): void {
    const was = stop
    stop = null
    clearTimeout(silence)
    was?.()
    readings = []
    step.value = Infinity
    state.value = 'none'
    judge()
  }

  function follow(listen: Listen | null): void {
    leave()
    if (!listen) return
    state.value = 'waiting'
    stop = listen(hear)
  }

  watch(() => toValue(tare), judge)
  onScopeDispose(leave)

  return { state: readonly(state), answer: readonly(answer), step: readonly(step), follow }
}
