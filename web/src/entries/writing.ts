// What only writing, and hearing what others write, has need of: it comes while the walk is already drawn.
export { continueFrom } from '@kobrin/core'
export { v7 as newUid } from 'uuid'
export { createOutbox, openShelf } from './outbox.ts'
