import { BALANCE_ROUTES } from './balance/routes.ts'
import { BACKUP_ROUTES } from './backup/routes.ts'
import { CURVE_ROUTES } from './curves/routes.ts'
import { LIBRARY_ROUTES } from './library/routes.ts'
import { BRING_IN_ROUTES } from './bringIn/routes.ts'
import { STAFF_ROUTES } from './people/staffRoutes.ts'
import { PHOTO_ROUTES } from './photos/routes.ts'
import { ROUTES } from './routes.ts'
import { SETUP_ROUTES } from './setup/routes.ts'
import { HOUSE_ROUTES } from './site/houseRoutes.ts'
import { PLACE_ROUTES } from './site/placeRoutes.ts'
import { TAKE_OUT_ROUTES } from './takeOut/routes.ts'

/** The routes of the office, apart from those of a day's work: the walk opens without them. */
export const OFFICE_ROUTES = {
  ...LIBRARY_ROUTES,
  ...SETUP_ROUTES,
  ...STAFF_ROUTES,
  ...HOUSE_ROUTES,
  ...PLACE_ROUTES,
  ...BACKUP_ROUTES,
  ...BRING_IN_ROUTES,
  ...TAKE_OUT_ROUTES,
  ...PHOTO_ROUTES,
  ...BALANCE_ROUTES,
  ...CURVE_ROUTES,
}

/** All there are. */
export const EVERY_ROUTE = { ...ROUTES, ...OFFICE_ROUTES }
