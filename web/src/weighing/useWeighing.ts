import type { BodyPart, Doubt, Draft, FactKind, Tub, WeighingDoubt, WeightContext } from '@kobrin/core'
import {
  conditionDue,
  contextToAsk,
  doubtAbout,
  expectedWeight,
  kindOf,
  partsDue,
  weighingDoubt,
} from '@kobrin/core'
import type { MaybeRefOrGetter } from 'vue'
import { computed, reactive, shallowReactive, shallowRef, toValue, watch } from 'vue'
import { scaleOf } from '../condition/scales.ts'
import { useDraft } from '../drafts/useDraft.ts'
import { useRecord } from '../entries/useRecord.ts'
import { partsOf } from '../exceptions/careExceptions.ts'
import { checkAgainst } from '../fields/checkAgainst.ts'
import { usePlans } from '../plans/usePlans.ts'
import { useResidents } from '../residents/useResidents.ts'
import { useSite } from '../site/useSite.ts'
import type { When } from '../time/useToday.ts'
import { useToday } from '../time/useToday.ts'
import { sayDraft } from '../words/entry.ts'
import { useTeller } from '../words/useTeller.ts'
import { weighTask } from './useRound.ts'
import { t } from './words.ts'

interface Bench {
  /** What it sits in; what is typed then is with it. */
  tub: MaybeRefOrGetter<Tub | null>
  tubs: MaybeRefOrGetter<readonly Tub[]>
  when: MaybeRefOrGetter<When>
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

const WEIGHT = 'weight'
const JUST_NOW_MS = 60_000
/** A difference of two readings has digits that no balance shows. */
const DIGITS = 1e4

/** One animal at the balance: its number, what else of it is due, and what has to be asked before it is kept. */
export function useWeighing(residentId: string, { tub, tubs, when, onKept }: Bench) {
  const site = useSite()
  const plans = usePlans()
  const record = useRecord()
  const residents = useResidents()
  const teller = useTeller()
  const today = useToday()
  const form = reactive<WeighingForm>({ shown: null, mm: {}, score: '', context: [] })
  const draft = useDraft(`weighing ${residentId}`, form)
  const complaint = shallowRef('')
  const question = shallowRef<Question | null>(null)
  /** What was asked about and settled. */
  const settled = shallowReactive(new Map<string, 'so' | 'doubted'>())

  const known = computed(() => {
    const one = site.residents.get(residentId)
    const day = toValue(when)?.day ?? today.day
    return one && { day, state: record.stateOf(residentId), plan: plans.planOf(one) }
  })
  const expected = computed(() => known.value && expectedWeight(known.value))
  const task = computed(() => weighTask(residents.dayOf(residentId).tasks))
  const group = computed(() => site.species.get(site.residents.get(residentId)?.sheet ?? '')?.group)
  const scale = computed(() => (group.value ? scaleOf(group.value) : null))
  const scoreDue = computed(() => scale.value !== null && known.value && conditionDue(known.value) !== null)
  /** What of it is to be measured: by the plan, or since food and box depend on it. */
  const parts = computed<readonly BodyPart[]>(() => {
    const due = known.value ? partsDue(known.value) : []
    const planned = residents
      .dayOf(residentId)
      .tasks.some(({ duty, status }) => duty.does === 'measure' && (status === 'due' || status === 'late'))
    const [first] = group.value ? partsOf(group.value) : []
    return planned && first !== undefined && !due.includes(first) ? [first, ...due] : due
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

  /** Who was weighed a moment ago. */
  function justNow() {
    if (toValue(when) !== null) return undefined
    const since = new Date(Date.parse(today.moment().at) - JUST_NOW_MS).toISOString()
    return record
      .recent(residentId)
      .findLast(({ kind, occurredAt }) => kind === 'weighed' && occurredAt > since)
  }

  function weight(net: number): Draft & { kind: 'weighed' } {
    const duty = task.value?.duty.id
    const inTub = toValue(tub)
    const said = settled.get(WEIGHT)
    const context = form.context.filter((one): one is WeightContext =>
      contexts.value.some((asked) => asked === one),
    )
    return {
      subject: residentId,
      kind: 'weighed',
      payload: {
        ...(duty !== undefined && { duty }),
        grams: net,
        ...(said === 'so' && { confirmed: true as const }),
        ...(said === 'doubted' && { doubted: true as const }),
        ...(context.length > 0 && { context }),
        ...(inTub && { tub: { label: inTub.label, grams: inTub.grams } }),
      },
    }
  }

  function measured(part: BodyPart, mm: number): Draft {
    const isSo = settled.get(part) === 'so'
    return {
      subject: residentId,
      kind: 'measured',
      payload: { part, mm, ...(isSo && { confirmed: true as const }) },
    }
  }

  /** What was typed, by what it is about. */
  function drafts(): Map<string, Draft> {
    const said = new Map<string, Draft>()
    if (grams.value !== null) said.set(WEIGHT, weight(grams.value))
    for (const part of parts.value) {
      const mm = form.mm[part]
      if (typeof mm === 'number') said.set(part, measured(part, mm))
    }
    if (form.score !== '')
      said.set('score', { subject: residentId, kind: 'condition', payload: { score: Number(form.score) } })
    return said
  }

  function doubt(said: Draft): Doubt | WeighingDoubt | null {
    if (!known.value) return null
    if (said.kind !== 'weighed') return doubtAbout(said, known.value)
    const before = justNow()
    const bench = {
      tub: toValue(tub),
      tubs: toValue(tubs),
      justNow: before?.kind === 'weighed' ? before.payload.grams : null,
    }
    return weighingDoubt(said as Draft & { kind: 'weighed' }, known.value, bench)
  }

  /** Why something that was typed cannot be kept at all. */
  function impossible(said: ReadonlyMap<string, Draft>): string {
    if (record.stateOf(residentId).stay.ended) return t('notHereAnyMore')
    if (said.size === 0) return t('typeAWeight')
    const net = grams.value
    if (net !== null && net <= 0) return toValue(tub) ? t('lighterThanTub') : t('aboveNothing')
    const faults = [...said.values()].flatMap(({ kind, payload }) =>
      Object.values(checkAgainst(kindOf(kind as FactKind).payload, payload)).flat(),
    )
    return faults[0]?.message ?? ''
  }

  function submit(): void {
    question.value = null
    const said = drafts()
    // A tub that was taken off twice leaves less than nothing: what to ask of it comes before why it cannot be.
    const net = said.get(WEIGHT)
    const asked = net && !settled.has(WEIGHT) ? doubt(net) : null
    complaint.value = asked?.code === 'taredTwice' ? '' : impossible(said)
    if (complaint.value) return
    for (const [about, one] of said) {
      const found = settled.has(about) ? null : about === WEIGHT ? asked : doubt(one)
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

  function again(): void {
    if (question.value?.about === WEIGHT) form.shown = null
    else if (question.value) form.mm = { ...form.mm, [question.value.about]: null }
    question.value = null
  }

  function meant(value: number): void {
    if (question.value?.about === WEIGHT) form.shown = value + (toValue(tub)?.grams ?? 0)
    else if (question.value) form.mm = { ...form.mm, [question.value.about]: value }
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
