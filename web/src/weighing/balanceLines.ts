import type { Heard } from '@kobrin/contract'

/** A balance is listened to: `hear` is told its lines, and null while it cannot be reached. Answers how to stop. */
export type Listen = (hear: (heard: Heard) => void) => () => void

/** A balance of the house, whose lines the server tells on. */
export function linesOfHouse(address: string, source: typeof EventSource = EventSource): Listen {
  return (hear) => {
    const events = new source(address)
    events.addEventListener('message', ({ data }: MessageEvent<string>) => hear(JSON.parse(data) as Heard))
    events.addEventListener('away', () => hear(null))
    events.addEventListener('error', () => hear(null))
    return () => events.close()
  }
}

/** How fast most balances speak unless they were told otherwise, bits a second. */
export const USUAL_BAUD = 9600
export const BAUDS = [1200, 2400, 4800, 9600, 19_200, 38_400, 57_600, 115_200] as const

/** Whether this browser can open a cable at all. */
export function hasSerial(): boolean {
  return 'serial' in globalThis.navigator
}

/** Cuts what comes in pieces into lines. */
export function lineCutter(hear: (line: string) => void): (text: string) => void {
  let rest = ''
  return (text) => {
    const lines = (rest + text).split(/\r\n|\n|\r/)
    rest = lines.pop() ?? ''
    for (const line of lines) hear(line)
  }
}

/** A balance on a cable of this device. Throws what keeps it from being opened. */
export async function openCable(baudRate: number, now: () => number = Date.now): Promise<Listen> {
  const port = await navigator.serial.requestPort()
  await port.open({ baudRate })
  return (hear) => {
    const cut = lineCutter((line) => hear({ ms: now(), line }))
    const text = new TextDecoder()
    const reader = port.readable?.getReader()
    const read = async () => {
      for (;;) {
        const { value, done } = (await reader?.read()) ?? { value: undefined, done: true }
        if (done) break
        cut(text.decode(value, { stream: true }))
      }
    }
    // Unplugged, it ends with an error.
    void read()
      .catch(() => undefined)
      .finally(() => hear(null))
    return () => void reader?.cancel().then(() => (reader.releaseLock(), port.close()))
  }
}
