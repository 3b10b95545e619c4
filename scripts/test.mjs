// Every test from a fresh clone: installs what is missing, then lint, types, unit, server, browser.
import { readyBrowser, readyDatabase, readyInterface, readyPackages, run } from './ready.mjs'

readyDatabase()
readyBrowser()
readyPackages()
for (const script of ['lint', 'types', 'test:unit']) run('npm', ['run', '--silent', script])
readyInterface()
run('npm', ['run', '--silent', 'test:browser'])
