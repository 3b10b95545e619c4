import { OFFICE_ROUTES, ROUTES } from '@kobrin/contract'
import { describe, expect, it, vi } from 'vitest'
import { ApiProblem, createCall, Unreachable } from './call.ts'

function answering(status: number, body?: string) {
  const fetch = vi.fn<typeof globalThis.fetch>(() =>
    Promise.resolve(new Response(body ?? null, { status, headers: { 'content-type': 'application/json' } })),
  )
  return { fetch, call: createCall(fetch) }
}

async function problemOf(work: Promise<unknown>): Promise<unknown> {
  return work.then(
    () => 'no problem',
    (error: unknown) => error,
  )
}

describe('the wire', () => {
  it('posts JSON and reads JSON', async () => {
    const { fetch, call } = answering(200, '{"receipts":[]}')
    expect(await call(ROUTES.append, { body: { entries: [] } })).toEqual({ receipts: [] })
    expect(fetch).toHaveBeenCalledWith(
      ROUTES.append.url,
      expect.objectContaining({ method: 'POST', body: '{"entries":[]}' }),
    )
  })

  it('puts what is asked for into the address, and nothing that is not', async () => {
    const { fetch, call } = answering(200, '{"head":"","now":0,"states":{}}')
    await call(ROUTES.states, { querystring: { of: 'one,two' } })
    await call(ROUTES.states, { querystring: {} })
    await call(OFFICE_ROUTES.sheet, { params: { sheetId: 'a sheet' } })
    expect(fetch.mock.calls.map(([path]) => path)).toEqual([
      `${ROUTES.states.url}?of=one%2Ctwo`,
      ROUTES.states.url,
      '/api/library/a%20sheet',
    ])
  })

  it('takes an answer without a body for what it is', async () => {
    expect(await answering(204).call(ROUTES.signOut)).toBeUndefined()
  })

  it('passes on what the server says is wrong', async () => {
    const { call } = answering(403, '{"code":"not_allowed","message":"Your role may not do this."}')
    const problem = await problemOf(call(ROUTES.site))
    expect(problem).toBeInstanceOf(ApiProblem)
    expect(problem).toMatchObject({
      status: 403,
      code: 'not_allowed',
      message: 'Your role may not do this.',
    })
  })

  it('says what a proxy in between answered when it speaks no JSON', async () => {
    const { call } = answering(502, '<html>Bad gateway</html>')
    expect(await problemOf(call(ROUTES.site))).toMatchObject({
      status: 502,
      message: 'The server answered 502.',
    })
  })

  it('tells an unreachable server from one that answers, and gives up on a silent one', async () => {
    const cause = new TypeError('fetch failed')
    const fetch = vi.fn<typeof globalThis.fetch>().mockRejectedValue(cause)
    const problem = await problemOf(createCall(fetch)(ROUTES.site))
    expect(problem).toBeInstanceOf(Unreachable)
    expect((problem as Unreachable).cause).toBe(cause)
    expect(fetch.mock.lastCall?.[1]?.signal).toBeInstanceOf(AbortSignal)
  })
})
