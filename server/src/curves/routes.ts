import { OFFICE_ROUTES } from '@kobrin/contract'
import type { FastifyPluginAsync } from 'fastify'
import { serve } from '../interface/serve.ts'
import type { Services } from '../services.ts'
import { curvesState, fitAnew, stopFitting } from './curves.ts'

export function curveRoutes(services: Services): FastifyPluginAsync {
  const {
    connection: { db },
  } = services
  return async (app) => {
    serve(app, services, OFFICE_ROUTES.curves, () => curvesState(db))
    serve(app, services, OFFICE_ROUTES.fitAnew, () => fitAnew(db))
    serve(app, services, OFFICE_ROUTES.stopFitting, () => stopFitting(db))
  }
}
