import type { BodyPart, Doubt, Draft, FactKind, WeighingDoubt, WeightContext } from '@kobrin/core'
import { contextToAsk, kindOf } from '@kobrin/core'
import { computed, reactive, shallowReactive, shallowRef, toValue, watch } from 'vue'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import { checkAgainst } from '../fields/checkAgainst.ts'
import { useResidents } from '../residents/useResidents.ts'
import { sayDraft } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import { typedDrafts, WEIGHT } from './typedDrafts.ts'
import type { Bench } from './useAtBalance.ts'
import { useAtBalance } from './useAtBalance.ts'
import { t } from './words.ts'

interface Weighing extends Bench {
  onKept: () => void
}

interface WeighingForm {
  /** As the balance shows it, with the tub where there is one. */
  shown: number | null
  mm: Partial<Record<BodyPart, number | null>>
  score: string
  context: string[]
}

interface Question {
  /** What it is asked about: the weight, or a part. */
  about: string
  doubt: Doubt | WeighingDoubt
}

/** A difference of two readings has digits that no balance shows. */
const DIGITS = 1e4

/** What the server would not keep of it, in words; empty where it keeps all. */
function faultIn(drafts: readonly Draft[]): string {
  const faults = drafts.flatMap(({ kind, payload }) =>
    Object.values(checkAgainst(kindOf(kind as FactKind).payload, payload)).flat(),
  )
  return faults[0]?.message ?? ''
}

/** One animal at the balance: its number, what else of it is due, and what has to be asked before it is kept. */
export function useWeighing(residentId: string, { tub, tubs, when, onKept }: Weighing) {
  const record = useRecord()
  const residents = useResidents()
  const teller = useTeller()
  const form = reactive<WeighingForm>({ shown: null, mm: {}, score: '', context: [] })
  const draft = useDraft(`weighing ${residentId}`, form)
  const complaint = shallowRef('')
  const question = shallowRef<Question | null>(null)
  /** What was asked about and settled. */
  const settled = shallowReactive(new Map<string, 'so' | 'doubted'>())

  const { known, expected, task, parts, scale, scoreDue, justNow, doubtOf } = useAtBalance(residentId, {
    tub,
    tubs,
    when,
  })

  /** Without the tub. */
  const grams = computed(() => {
    if (form.shown === null) return null
    return Math.round((form.shown - (toValue(tub)?.grams ?? 0)) * DIGITS) / DIGITS
  })
  const contexts = computed<WeightContext[]>(() =>
    known.value && expected.value && grams.value !== null
      ? contextToAsk(grams.value, known.value, expected.value)
      : [],
  )

  /** What was typed, by what it is about. */
  function drafts(): Map<string, Draft> {
    return typedDrafts(residentId, {
      grams: grams.value,
      duty: task.value?.duty.id,
      tub: toValue(tub),
      context: form.context.filter((one): one is WeightContext =>
        contexts.value.some((asked) => asked === one),
      ),
      mm: new Map(parts.value.map((part) => [part, form.mm[part]])),
      score: form.score,
      settled,
    })
  }

  /** Why something that was typed cannot be kept at all. */
  function impossible(said: ReadonlyMap<string, Draft>): string {
    if (record.stateOf(residentId).stay.ended) return t('notHereAnyMore')
    if (said.size === 0) return t('typeAWeight')
    const net = grams.value
    if (net !== null && net <= 0) return toValue(tub) ? t('lighterThanTub') : t('aboveNothing')
    return faultIn([...said.values()])
  }

  function submit(): void {
    question.value = null
    const said = drafts()
    // A tub that was taken off twice leaves less than nothing: what to ask of it comes before why it cannot be.
    const net = said.get(WEIGHT)
    const asked = net && !settled.has(WEIGHT) ? doubtOf(net) : null
    complaint.value = asked?.code === 'taredTwice' ? '' : impossible(said)
    if (complaint.value) return
    for (const [about, one] of said) {
      const found = settled.has(about) ? null : about === WEIGHT ? asked : doubtOf(one)
      if (found) {
        question.value = { about, doubt: found }
        return
      }
    }
    const [first, ...rest] = said.values()
    if (!first) return
    const says = t('kept', { name: residents.nameOf(residentId), says: sayDraft(first, teller) })
    record.keep([first, ...rest], says, { together: true, when: toValue(when) })
    draft.anew()
    settled.clear()
    onKept()
  }

  /** It was looked at again and is so, or it is kept and not believed. */
  function settle(as: 'so' | 'doubted'): void {
    if (!question.value) return
    settled.set(question.value.about, as)
    submit()
  }

  /** In place of what is asked about. */
  function put(value: number | null): void {
    if (!question.value) return
    const { about } = question.value
    if (about !== WEIGHT) form.mm = { ...form.mm, [about]: value }
    else form.shown = value === null ? null : value + (toValue(tub)?.grams ?? 0)
  }

  function again(): void {
    put(null)
    question.value = null
  }

  function meant(value: number): void {
    put(value)
    // What was meant is asked about like any other.
    settled.clear()
    submit()
  }

  /** The one of a moment ago was the mistake. */
  async function insteadOfFirst(): Promise<void> {
    const before = justNow()
    if (before) await record.takeBackEntry(before, t('weighedAgain'), t('tookBackFirst'))
    settle('so')
  }

  watch(
    () => form.shown,
    () => {
      settled.delete(WEIGHT)
      complaint.value = ''
      if (question.value?.about === WEIGHT) question.value = null
    },
    // Before what was changed is asked about.
    { flush: 'sync' },
  )

  return {
    form,
    draft,
    complaint,
    question,
    expected,
    task,
    parts,
    scale,
    scoreDue,
    grams,
    contexts,
    submit,
    settle,
    again,
    meant,
    insteadOfFirst,
  }
}
