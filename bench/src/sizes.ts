/** Boxes in the bay that is tapped, and residents in the house. */
export const RESIDENTS = 300
/** When a house stands: what is measured must not depend on the day on which it is measured. */
export const HOUSE_AT = Date.UTC(2026, 5, 16, 9, 30)
/** Entries of the one resident with a long record. */
export const LONG_RECORD = 2000
