import type { KeptEntry } from '@kobrin/contract'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { entryOn, TODAY } from '../testing/residents.ts'
import { followFeed } from './feed.ts'

/** What a browser's EventSource is to the feed. */
class Source {
  onopen: (() => void) | null = null
  onmessage: ((event: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  readyState = 1
  closed = false
  readonly url: string

  constructor(url: string) {
    this.url = url
  }

  close(): void {
    this.closed = true
  }

  tell(seq: number): void {
    const entry = { ...entryOn(TODAY, { kind: 'noted', payload: { text: 'x' } }), seq }
    this.onmessage?.({ data: JSON.stringify(entry) })
  }

  fail(readyState: number): void {
    this.readyState = readyState
    this.onerror?.()
  }
}

let sources: Source[]
let heard: number[]
let links: boolean[]

beforeEach(() => {
  vi.useFakeTimers()
  sources = []
  heard = []
  links = []
})
afterEach(() => vi.useRealTimers())

function follow(after: number): () => void {
  return followFeed({
    after,
    onEntry: ({ seq }: KeptEntry) => heard.push(seq),
    onLink: (linked) => links.push(linked),
    open: (url) => {
      const source = new Source(url)
      sources.push(source)
      return source as unknown as EventSource
    },
  })
}

describe('following the feed', () => {
  it('begins after the place it is given and tells each entry once', () => {
    follow(7)
    expect(sources[0]?.url).toContain('after=7')
    for (const seq of [8, 9, 9, 8, 10]) sources[0]?.tell(seq)
    expect(heard).toEqual([8, 9, 10])
  })

  it('leaves a dropped line to the browser, but says that it is cut', () => {
    follow(0)
    sources[0]?.onopen?.()
    sources[0]?.fail(0)
    vi.advanceTimersByTime(10_000)
    expect(sources).toHaveLength(1)
    expect(links).toEqual([true, false])
  })

  it('comes back by itself, after where it was, when the server turned it away', () => {
    follow(0)
    sources[0]?.tell(4)
    sources[0]?.fail(2)
    vi.advanceTimersByTime(2000)
    expect(sources[1]?.url).toContain('after=4')
  })

  it('stops for good when told to', () => {
    const stop = follow(0)
    sources[0]?.fail(2)
    stop()
    vi.advanceTimersByTime(60_000)
    expect(sources).toHaveLength(1)
    expect(sources[0]?.closed).toBe(true)
  })
})
