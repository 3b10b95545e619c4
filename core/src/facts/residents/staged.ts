import * as z from 'zod/mini'
import { KEEPERS } from '../people/role.ts'
import { text, word } from '../subjects/values.ts'
import { hasStage } from './namedInSheet.ts'
import { residentKind } from './residentKind.ts'

/** Somebody confirmed that it has reached a stage of its sheet. */
export const staged = residentKind({
  payload: z.strictObject({ stage: word(40), why: text }),
  recordedBy: KEEPERS,
  needsSheets: true,
  objects: ({ stage }, { register, sheet }) =>
    hasStage(sheet(register?.sheet ?? ''), stage) ? null : 'unknown_stage',
  fold: (state, { payload: { stage } }) =>
    state.register ? { ...state, register: { ...state.register, stage } } : state,
})
