import type { Day } from './day.ts'

/** A moment as a site's own calendar and clock tell it. */
export interface Civil {
  day: Day
  /** Minutes since local midnight by the wall clock, 0–1439. */
  minute: number
}

const formatters = new Map<string, Intl.DateTimeFormat>()

function formatterFor(zone: string): Intl.DateTimeFormat {
  let formatter = formatters.get(zone)
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-CA', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
    })
    formatters.set(zone, formatter)
  }
  return formatter
}

const QUARTER_MS = 900_000

/** The last quarter of an hour that was asked about in each zone. */
const quarters = new Map<string, { startMs: number; civil: Civil }>()

function civilAt(instantMs: number, zone: string): Civil {
  const part: Partial<Record<Intl.DateTimeFormatPartTypes, number>> = {}
  for (const { type, value } of formatterFor(zone).formatToParts(instantMs)) part[type] = Number(value)
  // A local day is 23 or 25 hours long at a clock change: take the civil date, never divide hours.
  const midnight = Date.UTC(part.year ?? 0, (part.month ?? 1) - 1, part.day ?? 1)
  return { day: midnight / 86_400_000, minute: (part.hour ?? 0) * 60 + (part.minute ?? 0) }
}

/** The instant (milliseconds since 1970 UTC) at which a site's calendar and clock show this. A time that a
 * clock change leaves out is taken as an hour later; of one that comes twice, the first.
 * Throws RangeError on an unknown zone. */
export function instantAt({ day, minute }: Civil, zone: string): number {
  const wanted = day * 86_400_000 + minute * 60_000
  const behind = (instantMs: number) => {
    const there = civil(instantMs, zone)
    return instantMs - (there.day * 86_400_000 + there.minute * 60_000)
  }
  // A day earlier and a day later stand on either side of any change of the clock.
  const before = wanted + behind(wanted - 86_400_000)
  const after = wanted + behind(wanted + 86_400_000)
  const shows = (instantMs: number) => instantMs - behind(instantMs) === wanted
  return [before, after].filter(shows).sort((a, b) => a - b)[0] ?? before
}

/** The same of many moments, each asked once: those of a list stand on the same days again and again. */
export function instantsIn(zone: string): (moment: Civil) => number {
  const asked = new Map<number, number>()
  return (moment) => {
    const key = moment.day * 1440 + moment.minute
    const known = asked.get(key) ?? instantAt(moment, zone)
    asked.set(key, known)
    return known
  }
}

/** The civil day and wall-clock minute of an instant (milliseconds since 1970 UTC) in an IANA zone.
 * Throws RangeError on an unknown zone: the zone is site configuration, not keeper input. */
export function civil(instantMs: number, zone: string): Civil {
  // Zones change their clocks on quarters of an hour, so within one the clock just runs.
  const startMs = Math.floor(instantMs / QUARTER_MS) * QUARTER_MS
  let quarter = quarters.get(zone)
  if (quarter?.startMs !== startMs) {
    quarter = { startMs, civil: civilAt(startMs, zone) }
    quarters.set(zone, quarter)
  }
  const { day, minute } = quarter.civil
  return { day, minute: minute + Math.floor((instantMs - startMs) / 60_000) }
}
