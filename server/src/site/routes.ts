import { ROUTES } from '@kobrin/contract'
import { civil } from '@kobrin/core'
import type { FastifyPluginAsync } from 'fastify'
import { KobrinProblem } from '../errors/problem.ts'
import type { Floor } from '../floor.ts'
import { joinedAnswer } from '../interface/schemaOf.ts'
import { readSite, siteSettings } from './queries.ts'

export function siteRoutes({ connection: { db }, guard, now }: Floor): FastifyPluginAsync {
  return async (app) => {
    app.get(ROUTES.site.url, { ...guard(ROUTES.site), ...joinedAnswer(ROUTES.site) }, async () => {
      const settings = await siteSettings(db)
      const nowMs = now().getTime()
      const site = settings && (await readSite(db, civil(nowMs, settings.zone).day, nowMs))
      if (!site) throw new KobrinProblem('not_found')
      return site
    })
  }
}
