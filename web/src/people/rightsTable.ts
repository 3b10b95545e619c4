export { mayRecord } from '@kobrin/core'
