// The house is attacked for a few minutes: every route and every kind of entry, spoiled in many ways.
import { readyDatabase, readyPackages, run } from './ready.mjs'

readyDatabase()
readyPackages()
process.env.KOBRIN_HOSTILE_RUNS ??= '250'
run('npx', [
  'vitest',
  'run',
  'server/src/hostile',
  'server/src/people/door.test.ts',
  ...process.argv.slice(2),
])
