export * from '../entries/tables.ts'
export * from '../people/tables.ts'
export * from '../site/tables.ts'
