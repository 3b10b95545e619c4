import type { Draft } from '@kobrin/core'
import { contextToAsk } from '@kobrin/core'
import { computed, toValue } from 'vue'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import { faultIn } from '../fields/faultIn.ts'
import { typedInto, useMachine } from '../machines/useMachine.ts'
import { useResidents } from '../residents/useResidents.ts'
import { sayDraft } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import type { Settled } from './typedDrafts.ts'
import type { Bench } from './useAtBalance.ts'
import { useAtBalance } from './useAtBalance.ts'
import type { AtBalance, WeighingEvent } from './weighing.ts'
import { gramsIn, notWeighed, weigh } from './weighing.ts'
import { t } from './words.ts'

interface AtBench extends Bench {
  onKept: () => void
}

/** One animal at the balance: its number, what else of it is due, and what has to be asked before it is kept. */
export function useWeighing(residentId: string, { tub, tubs, when, onKept }: AtBench) {
  const record = useRecord()
  const residents = useResidents()
  const teller = useTeller()
  const { known, expected, task, parts, scale, scoreDue, justNow, doubtOf } = useAtBalance(residentId, {
    tub,
    tubs,
    when,
  })

  const contextsOf = (grams: number) =>
    known.value && expected.value ? contextToAsk(grams, known.value, expected.value) : []

  const atBalance = (): AtBalance => ({
    subject: residentId,
    tub: toValue(tub),
    duty: task.value?.duty.id,
    parts: parts.value,
    isGone: record.stateOf(residentId).stay.ended !== null,
    contextsOf,
    doubtOf,
    faultIn,
  })

  function keep(said: readonly [Draft, ...Draft[]]): void {
    const says = t('kept', { name: residents.nameOf(residentId), says: sayDraft(said[0], teller) })
    record.keep(said, says, { together: true, when: toValue(when) })
    tell({ type: 'kept' })
    draft.drop()
    onKept()
  }

  const { now, tell } = useMachine(
    notWeighed,
    (before, event: WeighingEvent) => weigh(before, event, atBalance()),
    keep,
  )
  const form = typedInto(
    () => now.value.form,
    (part) => tell({ type: 'typed', part }),
  )
  const draft = useDraft(`weighing ${residentId}`, form)
  const grams = computed(() => gramsIn(now.value.form, toValue(tub)))

  /** The one of a moment ago was the mistake. */
  async function insteadOfFirst(): Promise<void> {
    const before = justNow()
    if (before) await record.takeBackEntry(before, t('weighedAgain'), t('tookBackFirst'))
    tell({ type: 'settled', as: 'so' })
  }

  return {
    form,
    draft,
    complaint: computed(() => now.value.complaint),
    question: computed(() => now.value.question),
    expected,
    task,
    parts,
    scale,
    scoreDue,
    grams,
    contexts: computed(() => (grams.value === null ? [] : contextsOf(grams.value))),
    submit: () => tell({ type: 'submitted' }),
    settle: (as: Settled) => tell({ type: 'settled', as }),
    again: () => tell({ type: 'again' }),
    meant: (value: number) => tell({ type: 'meant', value }),
    insteadOfFirst,
  }
}
