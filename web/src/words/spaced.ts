const WRITTEN = new Intl.NumberFormat('en', { maximumFractionDigits: 6 })

/** As everything here is counted and measured: 1 612. */
export function spaced(value: number): string {
  // A narrow space parts the thousands: a comma would be read as a decimal in half of the world.
  return WRITTEN.format(value).replaceAll(',', '\u202f')
}
