/** Who changes something, and when. */
export interface Author {
  by: string
  at: string
  /** The site's civil day. */
  day: number
}
