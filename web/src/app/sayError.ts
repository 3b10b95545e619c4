import { t } from './words.ts'
/** What went wrong, as whoever threw it says it. */
export function sayError(error: unknown): string {
  return error instanceof Error ? error.message : t('somethingWentWrong')
}
