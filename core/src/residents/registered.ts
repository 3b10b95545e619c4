import { KEEPERS } from '../people/role.ts'
import { Register } from './register.ts'
import { residentKind } from './residentKind.ts'

/** Somebody new is put on record. */
export const registered = residentKind({
  payload: Register,
  recordedBy: KEEPERS,
  founds: true,
  fold: (state, { payload }) => ({ ...state, register: payload }),
})
