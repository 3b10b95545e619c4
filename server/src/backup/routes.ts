import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'

/** Longer without one, and the house would lose more than anybody remembers. */
const LATE_MS = 2 * 86_400_000

export function backupRoutes(services: Services): FastifyPluginAsync {
  const { nightly, now, startedAt } = services
  return async (app) => {
    serve(app, services, OFFICE_ROUTES.backups, async () => {
      if (!nightly) return { folder: null, last: null, isLate: false }
      const last = await nightly.last()
      // Where there is none yet, the first night is waited for.
      const since = last === null ? startedAt : Date.parse(last)
      return { folder: nightly.folder, last, isLate: now().getTime() - since > LATE_MS }
    })
  }
}
