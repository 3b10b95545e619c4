export type { StandInBalance } from './balance/standInBalance.ts'
export { startBalance } from './balance/standInBalance.ts'
