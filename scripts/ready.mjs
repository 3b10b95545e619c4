// What has to be on a machine before anything of ours can run. Nothing here may need a package.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { once } from 'node:events'
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))

const NODE_MAJOR = 20
const PROGRAM_FOLDERS = ['/usr/bin', '/usr/sbin', '/usr/local/bin', '/usr/local/sbin']

/** Says one sentence and ends. */
export function giveUp(sentence) {
  console.error(sentence)
  process.exit(1)
}

/** Runs a command where the project is, showing what it says. Answers its exit code, 0 where all went well. */
function exitCodeOf(command, args, env = {}) {
  const { status, error } = spawnSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  })
  if (error) giveUp(`${command} could not be started: ${error.message}`)
  return status ?? 1
}

/** Runs a command where the project is, showing what it says; ends with its exit code when it fails. */
export function run(command, args, { env = {} } = {}) {
  const code = exitCodeOf(command, args, env)
  if (code !== 0) process.exit(code)
}

/** Runs a script of the project, showing what it said once it is done. Answers its exit code. */
async function exitCodeLater(script) {
  const child = spawn('npm', ['run', '--silent', script], { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] })
  const said = []
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => said.push(part))
  const [code] = await once(child, 'close').catch(({ message }) =>
    giveUp(`npm could not be started: ${message}`),
  )
  process.stdout.write(Buffer.concat(said))
  return code ?? 1
}

/** Runs scripts of the project beside each other; ends with the first exit code that is not 0 once all are done. */
export async function runTogether(scripts) {
  const codes = await Promise.all(scripts.map(exitCodeLater))
  const failed = codes.find((code) => code !== 0)
  if (failed !== undefined) process.exit(failed)
}

function hashOf(paths) {
  const hash = createHash('sha256')
  for (const path of paths) hash.update(path).update(readFileSync(join(ROOT, path)))
  return hash.digest('hex')
}

function filesUnder(folder) {
  return readdirSync(join(ROOT, folder), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath.slice(ROOT.length + 1), entry.name))
    .filter((path) => !path.endsWith('.test.ts'))
    .sort()
}

function isStamped(file, hash) {
  return existsSync(file) && readFileSync(file, 'utf8') === hash
}

function requireNode() {
  if (Number(process.versions.node.split('.')[0]) < NODE_MAJOR) {
    giveUp(`Kobrin needs Node ${NODE_MAJOR} or newer; this is ${process.version}.`)
  }
}

/** The packages of the lock file, installed once for each lock file. */
export function readyPackages() {
  requireNode()
  const stamp = join(ROOT, 'node_modules', '.kobrin-lock')
  const hash = hashOf(['package-lock.json'])
  if (isStamped(stamp, hash)) return
  console.log('Installing packages …')
  const install = ['ci', '--no-audit', '--no-fund', '--loglevel=error']
  // On a busy machine a program that was just unpacked may still count as being written: once more, then.
  if (exitCodeOf('npm', install) !== 0) run('npm', install)
  writeFileSync(stamp, hash)
}

function isInstalled(program) {
  return PROGRAM_FOLDERS.some((folder) => existsSync(join(folder, program)))
}

/** Programs from Debian's packages. Installed when we may; otherwise says how. */
function readyPrograms(what, programs, packages) {
  if (programs.every(isInstalled)) return
  const line = `apt-get install -y --no-install-recommends ${packages.join(' ')}`
  if (process.getuid?.() !== 0 || !isInstalled('apt-get')) {
    giveUp(`${what} is not installed, and only root can install it. Run: sudo ${line}`)
  }
  console.log(`Installing ${what} …`)
  const env = { DEBIAN_FRONTEND: 'noninteractive' }
  run('apt-get', ['update', '-qq'], { env })
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], { env })
  const missing = programs.find((program) => !isInstalled(program))
  if (missing) giveUp(`${packages.join(', ')} installed, but there is still no ${missing}.`)
}

export function readyDatabase() {
  // Only the programs: no service of the system's own is set up or started.
  readyPrograms(
    'The MariaDB server',
    ['mariadbd', 'mariadb-install-db', 'my_print_defaults'],
    ['mariadb-server-core', 'mariadb-client-core'],
  )
}

export function readyBackup() {
  readyPrograms("MariaDB's program for backups", ['mariadb-dump', 'mariadb'], ['mariadb-client'])
}

/** The proxy of docs/running.md: only its test needs it. */
export function readyProxy() {
  readyPrograms('The proxy', ['nginx', 'openssl'], ['nginx-light', 'openssl'])
}

export function readyBrowser() {
  readyPrograms('Chromium', ['chromium'], ['chromium'])
}

/** The built interface, built anew when anything it is made of changed. */
export function readyInterface() {
  const stamp = join(ROOT, 'web', 'dist', '.built')
  const sources = ['core/src', 'contract/src', 'web/src', 'web/public'].flatMap(filesUnder)
  const pages = ['web/index.html', 'web/vite.config.ts', 'web/balance.html', 'web/vite.standIns.config.ts']
  const hash = hashOf([...sources, ...pages, 'package-lock.json'])
  if (isStamped(stamp, hash)) return
  console.log('Building the interface …')
  run('npm', ['run', '--silent', 'build'])
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, hash)
}
