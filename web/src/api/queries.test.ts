import 'fake-indexeddb/auto'
import { OFFICE_ROUTES } from '@kobrin/contract'
import { beforeEach, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'

const server = vi.hoisted(() => ({ answer: vi.fn<() => Promise<object>>() }))
vi.mock('./call.ts', async (original) => ({ ...(await original<object>()), call: () => server.answer() }))

/** A page that asks for the library: everything in it is new, and only the device remembers. */
async function page() {
  vi.resetModules()
  const { useAnswerOf } = await import('./queries.ts')
  const asked = effectScope().run(() => useAnswerOf(OFFICE_ROUTES.library))
  if (!asked) throw new Error('The scope had ended.')
  return asked
}

const library = (id: string) => ({ sheets: [{ id }] })
const soon = (holds: () => void) => vi.waitFor(holds, { timeout: 5000 })

beforeEach(() => {
  server.answer.mockReset()
})

it('is the answer this device was given before, until the server has given a newer one', async () => {
  server.answer.mockResolvedValue(library('old'))
  const before = await page()
  await soon(() => expect(before.answer.value).toEqual(library('old')))
  await new Promise((resolve) => setTimeout(resolve, 50))

  let arrives: (answer: object) => void = () => undefined
  server.answer.mockImplementation(() => new Promise((resolve) => (arrives = resolve)))
  const after = await page()
  await soon(() => expect(after.answer.value).toEqual(library('old')))
  await soon(() => expect(server.answer).toHaveBeenCalledTimes(2))
  arrives(library('new'))
  await soon(() => expect(after.answer.value).toEqual(library('new')))
})

it('stays where nothing newer can be had, and nothing is complained of', async () => {
  server.answer.mockRejectedValue(new Error('cut'))
  const { answer, complaint } = await page()
  await soon(() => expect(answer.value).toEqual(library('new')))
  await soon(() => expect(server.answer).toHaveBeenCalled())
  expect(complaint.value).toBe('')
})
