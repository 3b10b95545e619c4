import type { Repeating } from '../repeatedly.ts'
import { repeatedly } from '../repeatedly.ts'
import type { Services } from '../services.ts'
import { fitWhoWaits } from './curves.ts'
import { fittingApart } from './fitApart.ts'

/** A curve follows a weighing by seconds. */
const LOOK_MS = 5_000

/** Fits the growth curves of residents that were weighed, and at night of all, for as long as the house is open. */
export function keepFitted({
  connection: { db },
  book,
  now,
  siteZone,
  log,
}: Pick<Services, 'connection' | 'book' | 'now' | 'siteZone' | 'log'>): Repeating {
  const here = { db, plans: book.rows, fitting: fittingApart(), now, siteZone }
  return repeatedly(LOOK_MS, (signal) =>
    fitWhoWaits(here, signal).catch((error: unknown) => {
      if (!signal.aborted) log.warn({ err: error }, 'no curves could be fitted')
    }),
  )
}
