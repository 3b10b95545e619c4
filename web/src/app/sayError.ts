/** What went wrong, as whoever threw it says it. */
export function sayError(error: unknown): string {
  return error instanceof Error ? error.message : 'Something went wrong.'
}
