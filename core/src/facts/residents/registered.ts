import { KEEPERS } from '../people/role.ts'
import { Register } from './register.ts'
import { hasOption, hasStage } from './namedInSheet.ts'
import { howManyAtFirst } from '../count/howMany.ts'
import { residentKind } from './residentKind.ts'

/** Somebody new is put on record. */
export const registered = residentKind({
  payload: Register,
  recordedBy: KEEPERS,
  founds: true,
  needsSheets: true,
  claims: ({ number }) => number,
  objects({ sheet: id, stage, number, schools }, { subject, sheet, holderOf }) {
    const chosen = sheet(id)
    if (!chosen) return 'unknown_sheet'
    if (!hasStage(chosen, stage)) return 'unknown_stage'
    if ((holderOf(number ?? '') ?? subject) !== subject) return 'number_taken'
    const all = Object.entries(schools)
    return all.every(([school, option]) => hasOption(chosen, school, option)) ? null : 'unknown_school'
  },
  fold: (state, { payload }) => ({
    ...state,
    register: payload,
    // What was counted before it was put on record counts on.
    count:
      state.count.howMany.is === 'known' ? state.count : { ...state.count, howMany: howManyAtFirst(payload) },
  }),
})
