/** One reading of a balance: what it showed, and when. */
export interface BalanceReading {
  ms: number
  grams: number
  /** The balance said itself that it was not at rest. */
  unstable?: boolean | undefined
}
