// The house is attacked for a few minutes: every route and every kind of entry, spoiled in many ways, and
// everything it stands on stopped, hung, filled and killed.
import { readyDatabase, readyPackages, run } from './ready.mjs'

readyDatabase()
readyPackages()
process.env.KOBRIN_HOSTILE_RUNS ??= '250'
run('npx', [
  'vitest',
  'run',
  'server/src/hostile',
  'server/src/people/door.test.ts',
  'server/src/people/permissions.test.ts',
  'server/src/database/pulse.test.ts',
  'server/src/database/ownDatabase.test.ts',
  'server/src/entries/together.test.ts',
  'cli/src/demo.test.ts',
  ...process.argv.slice(2),
])
