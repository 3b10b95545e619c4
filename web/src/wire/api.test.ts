import { PATHS } from '@kobrin/contract'
import { describe, expect, it, vi } from 'vitest'
import { ApiProblem, createApi, Unreachable } from './api.ts'

function answering(status: number, body?: string) {
  const fetch = vi.fn<typeof globalThis.fetch>(() =>
    Promise.resolve(new Response(body ?? null, { status, headers: { 'content-type': 'application/json' } })),
  )
  return { fetch, api: createApi(fetch) }
}

async function problemOf(work: Promise<unknown>): Promise<unknown> {
  return work.then(
    () => 'no problem',
    (error: unknown) => error,
  )
}

describe('the wire', () => {
  it('posts JSON and reads JSON', async () => {
    const { fetch, api } = answering(200, '{"receipts":[]}')
    expect(await api.append([])).toEqual({ receipts: [] })
    expect(fetch).toHaveBeenCalledWith(
      PATHS.entries,
      expect.objectContaining({ method: 'POST', body: '{"entries":[]}' }),
    )
  })

  it('asks for the states of some by their ids, of all without', async () => {
    const { fetch, api } = answering(200, '{"head":0,"states":{}}')
    await api.states(['one', 'two'])
    await api.states()
    expect(fetch.mock.calls.map(([path]) => path)).toEqual([`${PATHS.states}?of=one,two`, PATHS.states])
  })

  it('takes an answer without a body for what it is', async () => {
    expect(await answering(204).api.signOut()).toBeUndefined()
  })

  it('passes on what the server says is wrong', async () => {
    const { api } = answering(403, '{"code":"not_allowed","message":"Your role may not do this."}')
    const problem = await problemOf(api.site())
    expect(problem).toBeInstanceOf(ApiProblem)
    expect(problem).toMatchObject({
      status: 403,
      code: 'not_allowed',
      message: 'Your role may not do this.',
    })
  })

  it('says what a proxy in between answered when it speaks no JSON', async () => {
    const { api } = answering(502, '<html>Bad gateway</html>')
    expect(await problemOf(api.site())).toMatchObject({ status: 502, message: 'The server answered 502.' })
  })

  it('tells an unreachable server from one that answers, and gives up on a silent one', async () => {
    const cause = new TypeError('fetch failed')
    const fetch = vi.fn<typeof globalThis.fetch>().mockRejectedValue(cause)
    const problem = await problemOf(createApi(fetch).site())
    expect(problem).toBeInstanceOf(Unreachable)
    expect((problem as Unreachable).cause).toBe(cause)
    expect(fetch.mock.lastCall?.[1]?.signal).toBeInstanceOf(AbortSignal)
  })
})
