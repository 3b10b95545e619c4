// Every measure, as ratios taken in one run.
import { readyBrowser, readyDatabase, readyInterface, readyPackages, run } from './ready.mjs'

readyDatabase()
readyBrowser()
readyPackages()
readyInterface()
run('node', ['--expose-gc', '--import', 'tsx', 'bench/src/main.ts', ...process.argv.slice(2)])
