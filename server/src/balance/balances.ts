import { connect } from 'node:net'
import type { Socket } from 'node:net'
import type { Heard } from '@kobrin/contract'
import split from 'split2'

/** Where a balance is listened to, by TCP. */
export interface BalanceAddress {
  name: string
  host: string
  port: number
}

export interface Balances {
  names: readonly string[]
  /** Tells what a balance says from now on. Answers how to stop; null for one that nobody has. */
  follow: (name: string, hear: (heard: Heard) => void) => (() => void) | null
  close: () => void
}

const AGAIN_MS = 2000
/** A balance speaks in short lines: what goes on for longer is something else. */
const LINE_MOST = 200

interface Line {
  follow: (hear: (heard: Heard) => void) => () => void
  close: () => void
}

/** One line to one balance, shared by all who listen, and open only while somebody does: many take a single
 * connection. */
function lineTo({ host, port }: BalanceAddress, now: () => Date): Line {
  const listeners = new Set<(heard: Heard) => void>()
  let socket: Socket | null = null
  let again: NodeJS.Timeout | undefined
  const tell = (heard: Heard) => listeners.forEach((hear) => hear(heard))

  function open(): void {
    const mine = connect({ host, port })
    socket = mine
    mine.setEncoding('utf8')
    mine.setKeepAlive(true)
    mine
      .pipe(split({ maxLength: LINE_MOST }))
      .on('error', () => mine.destroy())
      .on('data', (line: string) => tell({ ms: now().getTime(), line: line.trim() }))
    mine.on('error', () => undefined)
    mine.on('close', () => {
      if (socket !== mine) return
      socket = null
      tell(null)
      again = setTimeout(open, AGAIN_MS)
    })
  }

  function close(): void {
    const closing = socket
    socket = null
    clearTimeout(again)
    closing?.destroy()
  }

  return {
    follow(hear) {
      listeners.add(hear)
      if (listeners.size === 1) open()
      return () => {
        if (listeners.delete(hear) && listeners.size === 0) close()
      }
    },
    close,
  }
}

/** The balances of the house. */
export function createBalances(addresses: readonly BalanceAddress[], now: () => Date): Balances {
  const lines = new Map(addresses.map((address) => [address.name, lineTo(address, now)]))
  return {
    names: [...lines.keys()],
    follow: (name, hear) => lines.get(name)?.follow(hear) ?? null,
    close: () => lines.forEach((line) => line.close()),
  }
}
