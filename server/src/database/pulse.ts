import { setTimeout as sleep } from 'node:timers/promises'
import type { Connection as LoneConnection } from 'mysql2/promise'
import { repeatedly } from '../repeatedly.ts'
import type { Connection } from './connect.ts'

export interface Pulse {
  /** False while the database does not answer: gone, or hanging. */
  isBeating: () => boolean
  stop: () => Promise<void>
}

export interface PulseOptions {
  everyMs?: number
  /** A database that takes longer for nothing is not there for anybody. */
  patienceMs?: number
  onChange?: (beating: boolean) => void
}

/** Asks the database for nothing, again and again, on a connection of its own. When it hangs, everybody
 * who waits for it is let go: they are told to come back, and what they made is kept where it was made. */
export function createPulse(
  connection: Pick<Connection, 'lone' | 'dropAll'>,
  { everyMs = 1_000, patienceMs = 4_000, onChange = () => undefined }: PulseOptions = {},
): Pulse {
  let beating = true
  let lone: LoneConnection | null = null

  function found(is: boolean): void {
    if (is !== beating) onChange(is)
    beating = is
  }

  async function ask(): Promise<void> {
    const known = lone
    if (known) {
      const answered = await known.query('select 1').then(
        () => true,
        () => false,
      )
      if (answered) return
      if (lone !== known) throw new Error('It was let go while it was waited for.')
      // A connection from before a restart says nothing of a database that is back.
      known.destroy()
      lone = null
    }
    lone = await connection.lone()
    await lone.query('select 1')
  }

  async function beat(stopping: AbortSignal): Promise<void> {
    const heardOf = new AbortController()
    const signal = AbortSignal.any([heardOf.signal, stopping])
    const late = sleep(patienceMs, 'late' as const, { signal }).catch(() => 'stopped' as const)
    const asked = ask().then(
      () => 'here' as const,
      () => 'away' as const,
    )
    const heard = await Promise.race([asked, late])
    heardOf.abort()
    if (heard === 'stopped') return
    found(heard === 'here')
    if (heard === 'here') return
    lone?.destroy()
    lone = null
    if (heard === 'late') connection.dropAll()
  }

  const beats = repeatedly(everyMs, beat)

  return {
    isBeating: () => beating,
    async stop() {
      await beats.stop()
      lone?.destroy()
    },
  }
}
