/** Made with the first number: what the platform reads for it takes longer than the page before sign-in needs. */
let written: Intl.NumberFormat | undefined

/** As everything here is counted and measured: 1 612. */
export function spaced(value: number): string {
  // A narrow space parts the thousands: a comma would be read as a decimal in half of the world.
  return (written ??= new Intl.NumberFormat('en', { maximumFractionDigits: 6 }))
    .format(value)
    .replaceAll(',', '\u202f')
}
