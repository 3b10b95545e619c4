import { describe, expect, it } from 'vitest'
import { effectScope, nextTick, shallowRef } from 'vue'
import { useAnswer, useDoing } from './useAnswer.ts'

/** Answers that come when the test says so, each by the name of what was asked about. */
function slowly() {
  const waiting = new Map<string, { resolve: (answer: string) => void; reject: (error: Error) => void }>()
  const ask = (about: string) =>
    new Promise<string>((resolve, reject) => waiting.set(about, { resolve, reject }))
  const later = () => new Promise((resolve) => setTimeout(resolve))
  return {
    ask,
    arrives: (about: string) => (waiting.get(about)?.resolve(`all about ${about}`), later()),
    fails: (about: string) => (waiting.get(about)?.reject(new Error(`no ${about}`)), later()),
  }
}

function asking(first: string) {
  const about = shallowRef(first)
  const wire = slowly()
  const told = effectScope().run(() =>
    useAnswer(
      () => wire.ask(about.value),
      () => about.value,
    ),
  )
  if (!told) throw new Error('The scope had ended.')
  return { ...told, ...wire, about }
}

describe('what a server answers', () => {
  it('is asked anew when it is about another, and nothing stands there meanwhile', async () => {
    const { answer, about, arrives } = asking('ada')
    await arrives('ada')
    expect(answer.value).toBe('all about ada')
    about.value = 'ben'
    await nextTick()
    expect(answer.value).toBeNull()
    await arrives('ben')
    expect(answer.value).toBe('all about ben')
  })

  it('is not taken for the answer about another when it comes late', async () => {
    const { answer, about, arrives } = asking('ada')
    about.value = 'ben'
    await nextTick()
    await arrives('ben')
    await arrives('ada')
    expect(answer.value).toBe('all about ben')
  })

  it('is complained of when it does not come, but not where somebody has gone on to', async () => {
    const { complaint, about, fails, arrives } = asking('ada')
    about.value = 'ben'
    await nextTick()
    await fails('ada')
    expect(complaint.value).toBe('')
    await fails('ben')
    expect(complaint.value).not.toBe('')
    about.value = 'cas'
    await nextTick()
    await arrives('cas')
    expect(complaint.value).toBe('')
  })
})

describe('something asked for once', () => {
  it('is not done twice by pressing twice', async () => {
    const { busy, run } = useDoing()
    const { ask, arrives } = slowly()
    const first = run(() => ask('it'))
    expect(busy.value).toBe(true)
    expect(await run(() => ask('it again'))).toBe(false)
    await arrives('it')
    expect([await first, busy.value]).toEqual([true, false])
  })

  it('can be tried again after it failed, and its complaint goes', async () => {
    const { complaint, run } = useDoing()
    expect(await run(() => Promise.reject(new Error('no')))).toBe(false)
    expect(complaint.value).not.toBe('')
    expect(await run(() => Promise.resolve())).toBe(true)
    expect(complaint.value).toBe('')
  })
})
