/** Boxes in the bay that is tapped, and residents in the house. */
export const RESIDENTS = 300
/** Entries of the one resident with a long record. */
export const LONG_RECORD = 2000
