import * as z from 'zod/mini'
import type { Route } from '../route.ts'

/** How the record is kept safe by the server itself. */
export const BackupState = z.strictObject({
  /** Where its backups lie; null where somebody else makes them. */
  folder: z.nullable(z.string()),
  /** When the last whole one was made. */
  last: z.nullable(z.string()),
  /** It is so long ago that somebody has to look. */
  isLate: z.boolean(),
})
export type BackupState = z.infer<typeof BackupState>

export const BACKUP_ROUTES = {
  backups: {
    method: 'GET',
    url: '/api/backups',
    summary: 'When the last backup was made, and where',
    access: 'editPlaces',
    answer: BackupState,
  },
} as const satisfies Record<string, Route>
