import type { OffCurve } from '@kobrin/core'
import { index, mysqlEnum, mysqlTable } from 'drizzle-orm/mysql-core'
import { derived, instant, uuid } from '../database/columns.ts'

/** What the growth curve of each resident says. Derived: can be deleted and made again. */
export const residentCurve = mysqlTable(
  'resident_curve',
  {
    resident: uuid('resident_id').primaryKey(),
    /** Why it is to be fitted; residents just weighed come before those that are only looked over. */
    due: mysqlEnum('due', ['anew', 'weighed']),
    fittedAt: instant('fitted_at'),
    /** Null where it keeps to its curve, or has none. */
    off: derived<OffCurve>()('off'),
  },
  (table) => [index('resident_curve_due').on(table.due)],
)
