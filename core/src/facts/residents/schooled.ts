import * as z from 'zod/mini'
import { SENIORS } from '../people/role.ts'
import { text, word } from '../subjects/values.ts'
import { hasOption } from './namedInSheet.ts'
import { residentKind } from './residentKind.ts'

/** A school was chosen for it alone. */
export const schooled = residentKind({
  payload: z.strictObject({ school: word(60), option: word(60), why: text }),
  recordedBy: SENIORS,
  needsSheets: true,
  objects: ({ school, option }, { register, sheet }) =>
    hasOption(sheet(register?.sheet ?? ''), school, option) ? null : 'unknown_school',
  fold: (state, { payload: { school, option } }) =>
    state.register
      ? {
          ...state,
          register: { ...state.register, schools: { ...state.register.schools, [school]: option } },
        }
      : state,
})
