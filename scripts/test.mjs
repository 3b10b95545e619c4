// Every test from a fresh clone: installs what is missing, then lint, types, unit, server, browser.
import {
  readyBackup,
  readyBrowser,
  readyDatabase,
  readyInterface,
  readyPackages,
  readyProxy,
  run,
  runTogether,
} from './ready.mjs'

readyDatabase()
readyBackup()
readyProxy()
readyBrowser()
readyPackages()
readyInterface()
// Each of them leaves a core idle for half its time.
await runTogether(['lint', 'types'])
for (const script of ['test:unit', 'test:browser']) run('npm', ['run', '--silent', script])
// The round on the days that are likeliest to go wrong; all of them: npm run test:days.
run('npm', ['run', '--silent', 'test:days', '--', '--grep', '@always'])
