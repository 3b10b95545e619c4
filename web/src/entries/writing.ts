// What only writing, and hearing what others write, has need of: it comes while the walk is already drawn.
export {
  continueFrom,
  echoesOf,
  effectiveFacts,
  emptyState,
  familyOf,
  founds,
  isAmendment,
} from '@kobrin/core'
export { v7 as newUid } from 'uuid'
export { openLine } from './line.ts'
export { posted } from './deliver.ts'
export { createOutbox } from './outbox.ts'
export { createSending } from '../photos/sending.ts'
export { stamped } from './stamp.ts'
export { createWaitingStore } from './waitingStore.ts'
