import { t } from './said.ts'

/** "Monday, Wednesday and Friday" */
export function sayAll(some: readonly string[]): string {
  const last = some.at(-1) ?? ''
  return some.length < 2 ? last : t('someAndLast', { some: some.slice(0, -1).join(', '), last })
}
