import * as z from 'zod/mini'
import type { Route } from '../route.ts'
import { KeepSheet, LibrarySheet, SheetAnswer, SheetSchools, SheetSummary } from './library.ts'

const ofSheet = z.strictObject({ sheetId: z.string().check(z.maxLength(60)) })

export const LIBRARY_ROUTES = {
  library: {
    method: 'GET',
    report: true,
    url: '/api/library',
    summary: 'Every care sheet in short',
    access: 'readSite',
    answer: z.strictObject({ sheets: z.array(SheetSummary) }),
  },
  sheet: {
    method: 'GET',
    report: true,
    url: '/api/library/:sheetId',
    summary: 'A care sheet with its text, its history and how it differs from the shipped one',
    access: 'readSite',
    params: ofSheet,
    answer: LibrarySheet,
  },
  sheetVersion: {
    method: 'GET',
    url: '/api/library/:sheetId/versions/:version',
    summary: 'The text of an earlier version of a care sheet',
    access: 'readSite',
    params: z.strictObject({
      sheetId: z.string().check(z.maxLength(60)),
      version: z.coerce.number<number>().check(z.int(), z.positive()),
    }),
    answer: z.strictObject({ yaml: z.string() }),
  },
  keepSheet: {
    method: 'PUT',
    url: '/api/library/:sheetId',
    summary: 'Keep a new version of a care sheet, or a new sheet',
    access: 'editSheets',
    params: ofSheet,
    body: KeepSheet,
    bodyBytes: 256 * 1024,
    answer: SheetAnswer,
  },
  schools: {
    method: 'GET',
    report: true,
    url: '/api/schools',
    summary: 'Every question keepers disagree on, sheet by sheet, and what is chosen here',
    access: 'readSite',
    answer: z.strictObject({ sheets: z.array(SheetSchools) }),
  },
} as const satisfies Record<string, Route>
