import type {
  AskPreview,
  ChooseSchool,
  EndOverride,
  KeepEnclosure,
  KeepSheet,
  LibrarySheet,
  NewResident,
  PlanChange,
  PlanSources,
  PreviewAnswer,
  SetStage,
  SheetAnswer,
  SheetSchools,
  SheetSummary,
  SignOverride,
} from '@kobrin/contract'
import { PATHS, pathWith } from '@kobrin/contract'
import type { Override } from '@kobrin/core'
import type { z } from 'zod'
import { createCall } from './api.ts'

export type PlanSourcesAnswer = Omit<z.infer<typeof PlanSources>, 'overrides'> & {
  overrides: { target: string; number: number; change: Override }[]
}

const call = createCall()

/** The routes of sheets, plans, enclosures and the register: nothing of the walk waits for these. */
export const careApi = {
  library: () => call<{ sheets: SheetSummary[] }>('GET', PATHS.library),
  sheet: (sheetId: string) => call<LibrarySheet>('GET', pathWith(PATHS.sheet, { sheetId })),
  sheetVersion: (sheetId: string, version: number) =>
    call<{ yaml: string }>('GET', pathWith(PATHS.sheetVersion, { sheetId, version })),
  keepSheet: (sheetId: string, body: KeepSheet) =>
    call<SheetAnswer>('PUT', pathWith(PATHS.sheet, { sheetId }), body),
  schools: () => call<{ sheets: SheetSchools[] }>('GET', PATHS.schools),
  chooseSchool: (body: ChooseSchool) => call<undefined>('POST', PATHS.schools, body),
  signOverride: (body: SignOverride) => call<undefined>('POST', PATHS.overrides, body),
  endOverride: (body: EndOverride) => call<undefined>('POST', PATHS.endOverride, body),
  setStage: (residentId: string, body: SetStage) =>
    call<undefined>('POST', pathWith(PATHS.stage, { residentId }), body),
  planSources: (residentId: string) =>
    call<PlanSourcesAnswer>('GET', pathWith(PATHS.planSources, { residentId })),
  preview: (body: AskPreview) => call<PreviewAnswer>('POST', PATHS.preview, body),
  keepEnclosure: (enclosureId: string, body: KeepEnclosure) =>
    call<undefined>('PUT', pathWith(PATHS.enclosure, { enclosureId }), body),
  addResident: (body: NewResident) => call<{ accession: string }>('POST', PATHS.residents, body),
  planChanges: (since: number) =>
    call<{ changes: PlanChange[] }>('GET', `${PATHS.planChanges}?since=${since}`),
}
