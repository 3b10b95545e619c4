import { t } from './words.ts'
/** What went wrong, in the words of what threw it. */
export function sayError(error: unknown): string {
  return error instanceof Error ? error.message : t('somethingWentWrong')
}
