// A house of one's own from a fresh clone: installs what is missing, builds, serves.
import { join } from 'node:path'
import { readyBackup, readyDatabase, readyInterface, readyPackages, ROOT } from './ready.mjs'

if (!process.env.KOBRIN_DATABASE_URL) readyDatabase()
readyBackup()
readyPackages()
readyInterface()
process.argv.splice(1, 1, join(ROOT, 'cli', 'bin', 'kobrin.js'), 'start')
await import('../cli/bin/kobrin.js')
