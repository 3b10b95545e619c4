import { describe, expect, it } from 'vitest'
import { nextTick, watch } from 'vue'
import { typedInto, useMachine } from './useMachine.ts'

interface Jar {
  form: { label: string; count: number }
  asks: number
}

type JarEvent = { type: 'typed'; part: Partial<Jar['form']> } | { type: 'asked' }

function jar() {
  const done: string[] = []
  const { now, tell } = useMachine(
    { form: { label: 'crickets', count: 6 }, asks: 0 },
    (before: Jar, event: JarEvent) =>
      event.type === 'typed'
        ? { now: { ...before, form: { ...before.form, ...event.part } } }
        : { now: { ...before, asks: before.asks + 1 }, does: `asked ${before.form.label}` },
    (deed) => done.push(`${deed}, ${now.value.asks}`),
  )
  const form = typedInto(
    () => now.value.form,
    (part) => tell({ type: 'typed', part }),
  )
  return { now, tell, form, done }
}

describe('a machine', () => {
  it('stands where the event left it before anything is done about it', () => {
    const { tell, done } = jar()
    tell({ type: 'asked' })
    expect(done).toEqual(['asked crickets, 1'])
  })

  it('is told field by field what is typed, and says what it made of it', async () => {
    const { now, form } = jar()
    const seen: string[] = []
    watch(form, () => seen.push(JSON.stringify(form)))
    form.count = 12
    await nextTick()
    expect(now.value.form).toEqual({ label: 'crickets', count: 12 })
    expect(seen).toEqual(['{"label":"crickets","count":12}'])
  })
})
