export * from './ropewalk/ropewalk.ts'
export * from './ropewalk/staff.ts'
export * from './collection.ts'
export { instantOf } from './siteDays.ts'
