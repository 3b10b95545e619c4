// Every test from a fresh clone: installs what is missing, then lint, types, unit, server, browser.
import { readyBrowser, readyDatabase, readyInterface, readyPackages, run } from './ready.mjs'

readyDatabase()
readyBrowser()
readyPackages()
readyInterface()
for (const script of ['lint', 'types', 'test:unit', 'test:browser']) run('npm', ['run', '--silent', script])
