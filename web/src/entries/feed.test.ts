import type { Bookmark } from '@kobrin/contract'
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
  readonly #on = new Map<string, (event: { data: string }) => void>()

  constructor(url: string) {
    this.url = decodeURIComponent(url)
  }

  addEventListener(name: string, listener: (event: { data: string }) => void): void {
    this.#on.set(name, listener)
  }

  close(): void {
    this.closed = true
  }

  tell(seq: number, stream = 1): void {
    const entry = { ...entryOn(TODAY, { kind: 'noted', payload: { text: 'x' } }), stream, seq }
    this.onmessage?.({ data: JSON.stringify(entry) })
  }

  change(seq: number): void {
    this.#on.get('change')?.({ data: JSON.stringify({ stream: 1, seq, what: {} }) })
  }

  anew(subjects: string[]): void {
    this.#on.get('anew')?.({ data: JSON.stringify(subjects) })
  }

  standStill(why: object | null): void {
    this.#on.get('standstill')?.({ data: JSON.stringify(why) })
  }

  startOver(): void {
    this.#on.get('startOver')?.({ data: '{}' })
  }

  fail(readyState: number): void {
    this.readyState = readyState
    this.onerror?.()
  }
}

let sources: Source[]
let anew: string[]
let heard: string[]
let links: boolean[]
let changes: number
let closed: number
let startedOver: number
let whys: (string | undefined)[]
let read: Bookmark

beforeEach(() => {
  vi.useFakeTimers()
  sources = []
  anew = []
  heard = []
  links = []
  changes = 0
  closed = 0
  startedOver = 0
  whys = []
})
afterEach(() => vi.useRealTimers())

function follow(after: Bookmark): () => void {
  read = after
  return followFeed({
    after: () => read,
    onEntry: ({ stream, seq }) => {
      heard.push(`${stream}:${seq}`)
      read = { ...read, [stream]: seq }
    },
    onLink: (linked) => links.push(linked),
    onAnew: (subjects) => anew.push(...subjects),
    onStartOver: () => (startedOver += 1),
    onStandstill: (why) => whys.push(why?.code),
    onChange: () => (changes += 1),
    onClosed: () => (closed += 1),
    open: (url) => {
      const source = new Source(url)
      sources.push(source)
      return source as unknown as EventSource
    },
  })
}

describe('following the feed', () => {
  it('begins after the place it is given and tells each entry once, stream by stream', () => {
    follow({ 1: 7, 2: 3 })
    expect(sources[0]?.url).toContain('after=1:7,2:3')
    for (const seq of [8, 9, 9, 8, 10]) sources[0]?.tell(seq)
    for (const seq of [3, 4]) sources[0]?.tell(seq, 2)
    expect(heard).toEqual(['1:8', '1:9', '1:10', '2:4'])
  })

  it('says who is to be asked for once what they heard is otherwise', () => {
    follow({ 1: 7 })
    sources[0]?.anew(['one', 'two'])
    expect([anew, heard]).toEqual([['one', 'two'], []])
  })

  it('tells of a change once', () => {
    follow({ 1: 7 })
    for (const seq of [7, 8, 8]) sources[0]?.change(seq)
    expect(changes).toBe(1)
  })

  it('hears entries again from the beginning once it was told to start over', () => {
    follow({ 1: 40 })
    sources[0]?.tell(8)
    sources[0]?.startOver()
    sources[0]?.tell(8)
    expect([startedOver, heard]).toEqual([1, ['1:8']])
  })

  it('tells why the server can keep nothing, and when it can again', () => {
    follow({})
    sources[0]?.standStill({ code: 'disk_full', message: 'The disk of the server is full.' })
    sources[0]?.standStill(null)
    expect(whys).toEqual(['disk_full', undefined])
  })

  it('leaves a dropped line to the browser, but says that it is cut', () => {
    follow({})
    sources[0]?.onopen?.()
    sources[0]?.fail(0)
    vi.advanceTimersByTime(10_000)
    expect(sources).toHaveLength(1)
    expect([links, closed]).toEqual([[true, false], 0])
  })

  it('comes back by itself, after where it was, when the server turned it away, and says so', () => {
    follow({})
    sources[0]?.tell(4)
    sources[0]?.fail(2)
    vi.advanceTimersByTime(2000)
    expect(sources[1]?.url).toContain('after=1:4')
    expect(closed).toBe(1)
  })

  it('stops for good when told to', () => {
    const stop = follow({})
    sources[0]?.fail(2)
    stop()
    vi.advanceTimersByTime(60_000)
    expect(sources).toHaveLength(1)
    expect(sources[0]?.closed).toBe(true)
  })
})
