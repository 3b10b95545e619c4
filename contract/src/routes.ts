import { ENTRY_ROUTES } from './entries/routes.ts'
import { PEOPLE_ROUTES } from './people/routes.ts'
import { PLAN_ROUTES } from './plans/routes.ts'
import { SITE_ROUTES } from './site/routes.ts'

/** The routes of a day's work, who may use them, and what goes in and out. */
export const ROUTES = {
  ...PEOPLE_ROUTES,
  ...SITE_ROUTES,
  ...PLAN_ROUTES,
  ...ENTRY_ROUTES,
}

/** Where the description of all routes is served. */
export const OPENAPI_URL = '/api/openapi.json'
