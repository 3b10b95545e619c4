// What is needed once, on a device that holds folds of an earlier version.
export { fromRevision3 } from '@kobrin/core'
