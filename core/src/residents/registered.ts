import { KEEPERS } from '../people/role.ts'
import { Register } from './register.ts'
import { howManyAtFirst } from '../count/howMany.ts'
import { residentKind } from './residentKind.ts'

/** Somebody new is put on record. */
export const registered = residentKind({
  payload: Register,
  recordedBy: KEEPERS,
  founds: true,
  fold: (state, { payload }) => ({
    ...state,
    register: payload,
    // What was counted before it was put on record counts on.
    count:
      state.count.howMany.is === 'known' ? state.count : { ...state.count, howMany: howManyAtFirst(payload) },
  }),
})
