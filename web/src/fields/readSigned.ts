/** A number as keepers type it, as computers read it: a point for a comma, and no spaces between thousands. */
export function plainNumber(text: string): string {
  return text.replaceAll(/[\s\u202f]/g, '').replace(',', '.')
}

/** A number as keepers type it: comma or point, spaces between thousands, below none too. Null when it is none:
 * also where both comma and point stand in it, for then nobody knows which of them divides what. */
export function readSigned(text: string): number | null {
  const bare = plainNumber(text).replace('\u2212', '-')
  return /^-?(\d+\.?\d*|\.\d+)$/.test(bare) ? Number(bare) : null
}

/** A number as it would be typed; nothing where there is none. */
export function sayTyped(value: number | null | undefined): string {
  return value === null || value === undefined ? '' : String(value)
}
