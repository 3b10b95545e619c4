import type { Entry } from '@kobrin/core'
import { beforeEach, expect, it, vi } from 'vitest'
import { effectScope, nextTick, shallowReactive, shallowRef } from 'vue'
import { entryOn, TODAY } from '../testing/residents.ts'
import { historiesChanged } from '../api/changes.ts'
import { queries } from '../api/queries.ts'
import { useHistory } from './useHistory.ts'

const answers = vi.hoisted(() => new Map<string, (entries: object[]) => void>())
const recent = vi.hoisted(() => ({ of: new Map<string, object[]>() }))
vi.mock('../api/call.ts', async (original) => ({
  ...(await original<object>()),
  call: (_route: object, { params: { subject } }: { params: { subject: string } }) =>
    new Promise((resolve) => answers.set(subject, (entries) => resolve({ entries }))),
}))
vi.mock('../entries/useRecord.ts', () => ({
  useRecord: () => ({
    stateOf: (id: string) => recent.of.get(id),
    recent: (id: string) => recent.of.get(id) ?? [],
  }),
}))

const noted = (subject: string, text: string): Entry =>
  entryOn(TODAY, { kind: 'noted', payload: { text } }, { subject })

async function arrives(id: string, ...entries: Entry[]): Promise<void> {
  await vi.waitFor(() => expect(answers.has(id)).toBe(true))
  answers.get(id)?.(entries)
  // What is answered is shown a few turns later.
  await new Promise((resolve) => setTimeout(resolve, 20))
}

function historyOf(first: string) {
  const looking = shallowRef(first)
  const history = effectScope().run(() => useHistory(looking))
  if (!history) throw new Error('The scope had ended.')
  return { looking, ...history }
}

beforeEach(() => {
  queries.clear()
  answers.clear()
  recent.of = shallowReactive(new Map<string, object[]>())
})

it('is what was read, and what was entered since, each once', async () => {
  const { entries, loading } = historyOf('ada')
  const [old, own, others] = ['old', 'own', "a colleague's"].map((text) => noted('ada', text))
  recent.of.set('ada', [own as object])
  expect(loading.value).toBe(true)
  await arrives('ada', old as Entry, own as Entry)
  expect(loading.value).toBe(false)
  expect(entries.value.map(({ uid }) => uid)).toEqual([old?.uid, own?.uid])
  recent.of.set('ada', [own as object, others as object])
  expect(entries.value.map(({ uid }) => uid)).toEqual([old?.uid, own?.uid, others?.uid])
})

it('of one who was looked at before never shows under another', async () => {
  const { entries, looking } = historyOf('ada')
  await vi.waitFor(() => expect(answers.has('ada')).toBe(true))
  looking.value = 'ben'
  await nextTick()
  const bens = noted('ben', 'his own')
  await arrives('ben', bens)
  await arrives('ada', noted('ada', 'hers'))
  expect(entries.value.map(({ uid }) => uid)).toEqual([bens.uid])
})

it('is read anew when somebody wrote about it: a correction of long ago is among what was read', async () => {
  const { entries } = historyOf('ada')
  const old = noted('ada', 'old')
  await arrives('ada', old)
  answers.clear()
  void historiesChanged.trigger(['ben', 'ada'])
  const later = noted('ada', 'said of the old one')
  await arrives('ada', old, later)
  expect(entries.value.map(({ uid }) => uid)).toEqual([old.uid, later.uid])
})
