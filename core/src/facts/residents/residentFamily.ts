import { withEvidence } from '../evidence/withEvidence.ts'
import { EVERYONE } from '../people/role.ts'
import { isOpenResident } from './isOpenResident.ts'
import { RESIDENT_KINDS } from './residentKinds.ts'
import { emptyResident, ResidentState } from './residentState.ts'

/** One animal or one colony each. */
export const residentFamily = {
  kinds: withEvidence(RESIDENT_KINDS),
  state: ResidentState,
  empty: emptyResident,
  readBy: EVERYONE,
  isOpen: isOpenResident,
}
