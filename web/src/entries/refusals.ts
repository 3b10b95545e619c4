import type { Entry } from '@kobrin/core'
import type { createUndelivered } from './undelivered.ts'
import type { openWriter } from './writer.ts'

interface RefusalsOptions {
  writer: () => Awaited<ReturnType<typeof openWriter>> | null
  undelivered: Pick<ReturnType<typeof createUndelivered>, 'takeRefused'>
  again: (entry: Entry) => void
}

/** What can be done about entries that the server would not keep. */
export function createRefusals({ writer, undelivered, again }: RefusalsOptions) {
  return {
    async forgetRefused(uid: string): Promise<void> {
      await writer()?.forget(uid)
      undelivered.takeRefused(uid)
    },
    async retryRefused(uid: string): Promise<void> {
      await writer()?.retry(uid)
      const one = undelivered.takeRefused(uid)
      if (one) again(one.entry)
    },
  }
}
