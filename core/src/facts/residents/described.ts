import { KEEPERS } from '../people/role.ts'
import { Description } from './identity.ts'
import { residentKind } from './residentKind.ts'

/** More of who it is. What is not named stays as it was. */
export const described = residentKind({
  payload: Description,
  recordedBy: KEEPERS,
  touches: ({ parents = [] }) =>
    parents.map((parent) => ({ family: 'resident', subject: parent, how: 'parentOf' })),
  fold: (state, { payload }) => ({
    ...state,
    identity: { ...state.identity, permits: state.identity?.permits ?? [], ...payload },
  }),
})
