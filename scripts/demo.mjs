// The Ropewalk from a fresh clone: installs what is missing, builds, serves.
import { readyDatabase, readyInterface, readyPackages } from './ready.mjs'

if (!process.env.KOBRIN_DATABASE_URL) readyDatabase()
readyPackages()
readyInterface()
process.argv.splice(1, 1, 'kobrin', 'demo')
await import('../cli/bin/kobrin.js')
