import { describe, expect, it } from 'vitest'
import type { Channel, Line, LineMessage } from './line.ts'
import { openLine } from './line.ts'

/** The tabs of one browser: one lock, one channel. */
function browser() {
  const channels = new Set<Channel>()
  const queue: { grant: () => Promise<void>; signal: AbortSignal | undefined }[] = []
  let held = false

  async function next(): Promise<void> {
    if (held) return
    const first = queue.shift()
    if (!first) return
    if (first.signal?.aborted) return next()
    held = true
    await first.grant()
    held = false
    await next()
  }

  const locks = {
    request: (_name: string, { signal }: LockOptions, grant: () => Promise<void>) => {
      queue.push({ grant, signal })
      void next()
      return Promise.resolve()
    },
  } as unknown as LockManager

  function channel(): Channel {
    const own: Channel = {
      onmessage: null,
      postMessage: (message) => {
        for (const other of channels) if (other !== own) other.onmessage?.({ data: message })
      },
      close: () => channels.delete(own),
    }
    channels.add(own)
    return own
  }

  interface Tab {
    line: Line
    led: string[]
    heard: LineMessage[]
  }

  function tab(): Tab {
    const led: string[] = []
    const heard: LineMessage[] = []
    const line = openLine({
      channel: channel(),
      locks,
      onLead: () => {
        led.push('holds')
        return () => led.push('let go')
      },
      onMessage: (message) => heard.push(message),
    })
    return { line, led, heard }
  }

  return { tab }
}

const settled = () => new Promise((resolve) => setTimeout(resolve))

describe('the tabs of one browser', () => {
  it('hold one line between them, however many they are', async () => {
    const { tab } = browser()
    const tabs = Array.from({ length: 8 }, tab)
    await settled()
    expect(tabs.filter(({ line }) => line.isLeading())).toHaveLength(1)
  })

  it('hear what the one that holds it tells', async () => {
    const { tab } = browser()
    const [leader, other] = [tab(), tab()]
    await settled()
    leader.line.tell({ type: 'link', linked: false })
    expect(other.heard).toContainEqual({ type: 'link', linked: false })
    expect(leader.heard).toEqual([{ type: 'hello' }])
  })

  it('pass it on when the one that holds it goes', async () => {
    const { tab } = browser()
    const [first, second, third] = [tab(), tab(), tab()]
    await settled()
    first.line.close()
    await settled()
    expect(first.led).toEqual(['holds', 'let go'])
    expect([second, third].map(({ line }) => line.isLeading())).toEqual([true, false])
  })

  it('one that goes while it waits never takes it', async () => {
    const { tab } = browser()
    const [first, second, third] = [tab(), tab(), tab()]
    await settled()
    second.line.close()
    first.line.close()
    await settled()
    expect([second.led, third.led]).toEqual([[], ['holds']])
  })

  it('without locks each holds its own', () => {
    const channel: Channel = { onmessage: null, postMessage: () => undefined, close: () => undefined }
    const line = openLine({
      channel,
      locks: null,
      onLead: () => () => undefined,
      onMessage: () => undefined,
    })
    expect(line.isLeading()).toBe(true)
  })
})
