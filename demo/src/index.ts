export * from './ropewalk/ropewalk.ts'
export * from './ropewalk/staff.ts'
export * from './collection.ts'
