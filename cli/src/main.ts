import { Command, InvalidArgumentError } from 'commander'
import type { Settings } from './settings.ts'
import { WATCHED, watchOver } from './watch.ts'

const BAD_INPUT = 2

function wholeNumber(text: string): number {
  const value = Number(text)
  if (!Number.isInteger(value) || value < 1)
    throw new InvalidArgumentError('It must be a whole number of at least 1.')
  return value
}

function portNumber(text: string): number {
  const value = wholeNumber(text)
  if (value > 65_535) throw new InvalidArgumentError('It must be a number up to 65535.')
  return value
}

function positive(text: string): number {
  const value = Number(text)
  if (!(value > 0 && value <= 1000)) throw new InvalidArgumentError('It must be above 0 and at most 1000.')
  return value
}

/** Faults are said in one sentence; anything else is a bug and keeps its stack. */
function fail(error: unknown): void {
  const known = error instanceof Error && ['KobrinFault', 'BadInput'].includes(error.constructor.name)
  console.error(known ? error.message : error)
  process.exitCode = error instanceof Error && error.constructor.name === 'BadInput' ? BAD_INPUT : 1
}

// Each command loads only what it needs: a computation answers without waking the server's parts.
function addServing(kobrin: Command): void {
  kobrin
    .command('demo')
    .description('serve the Ropewalk, an invented house with a history, loading it when the record is empty')
    .option('--days <n>', 'days of history to tell', wholeNumber, 548)
    .option('--seed <n>', 'seed of the story', wholeNumber, 1787)
    .action(async ({ days, seed }: { days: number; seed: number }) => {
      const [{ demo }, { settingsFrom }] = await Promise.all([import('./demo.ts'), import('./settings.ts')])
      await demo({ settings: settingsFrom(process.env, 'ropewalk'), days, seed })
    })
  kobrin
    .command('start')
    .description('serve the house whose record is here, or begin one; start again when the server falls')
    .action(async () => {
      if (!process.env[WATCHED]) {
        process.exitCode = await watchOver(process.argv[1] ?? '', ['start'])
        return
      }
      const [{ start }, { settingsFrom }] = await Promise.all([import('./start.ts'), import('./settings.ts')])
      await start(settingsFrom(process.env))
    })
}

function addStandIns(kobrin: Command): void {
  kobrin
    .command('balance')
    .description('stand in for a balance: lines by TCP, and a page to put animals on it')
    .option('--port <n>', 'where its lines are listened to', portNumber, 4650)
    .option('--page <n>', 'where its page is', portNumber, 4651)
    .option('--step <grams>', 'the smallest step it shows', positive, 0.1)
    .action(async (options: { port: number; page: number; step: number }) => {
      const { standIn } = await import('./balance.ts')
      await standIn(options)
    })
}

function addUpkeep(kobrin: Command): void {
  kobrin
    .command('migrate')
    .description('bring the tables of the database up to date')
    .action(async () => {
      const [{ openDatabase }, { settingsFrom }] = await Promise.all([
        import('./open.ts'),
        import('./settings.ts'),
      ])
      const opened = await openDatabase(settingsFrom(process.env))
      await opened.close()
      console.log('The tables are up to date.')
    })
  kobrin
    .command('check')
    .description('look the whole record over, also beside a serving house; nothing is changed')
    .action(async () => {
      const [{ reportCheck }, { settingsFrom }] = await Promise.all([
        import('./check.ts'),
        import('./settings.ts'),
      ])
      process.exitCode = await reportCheck(settingsFrom(process.env))
    })
  kobrin
    .command('rebuild')
    .description('replay every entry and report where the stored folds differ')
    .option('--write', 'put the replayed folds in their place', false)
    .action(async ({ write }: { write: boolean }) => {
      const [{ reportRebuild }, { settingsFrom }] = await Promise.all([
        import('./rebuild.ts'),
        import('./settings.ts'),
      ])
      process.exitCode = await reportRebuild(settingsFrom(process.env), write)
    })
}

interface FileCommand {
  name: string
  description: string
  file: string
  /** What it ends with, where that may be bad. */
  run: (settings: Settings, file: string) => Promise<number | undefined>
}

const WHERE_TO = 'where to; what is there before stays until the new one is whole'

/** What writes the record to a file, or makes one of a file. */
const FILE_COMMANDS: readonly FileCommand[] = [
  {
    name: 'backup',
    description: 'write the whole record to a file, also beside a serving house',
    file: WHERE_TO,
    run: async (settings, file) => (await import('./backup.ts')).makeBackup(settings, file),
  },
  {
    name: 'restore',
    description: 'bring a backup into an empty record and look it over',
    file: 'a file of `kobrin backup`',
    run: async (settings, file) => (await import('./backup.ts')).bringBack(settings, file),
  },
  {
    name: 'take-out',
    description: 'write everything to a zip file in open formats, also beside a serving house',
    file: WHERE_TO,
    run: async (settings, file) => (await import('./takeOut.ts')).exportAll(settings, file),
  },
  {
    name: 'move-in',
    description: 'make a house again, in an empty record, of what was taken out of another',
    file: 'a file of `kobrin take-out`',
    run: async (settings, file) => (await import('./takeOut.ts')).importAll(settings, file),
  },
]

function addFileCommands(kobrin: Command): void {
  for (const { name, description, file: about, run } of FILE_COMMANDS)
    kobrin
      .command(name)
      .description(description)
      .argument('<file>', about)
      .action(async (file: string) => {
        const { settingsFrom } = await import('./settings.ts')
        process.exitCode = await run(settingsFrom(process.env), file)
      })
}

function addCompute(kobrin: Command): void {
  kobrin
    .command('compute')
    .description('answer JSON on standard input with JSON on standard output')
    .argument('[name]', 'which computation')
    .option('--list', 'list the names')
    .option('--schema', 'print JSON Schema of input and output')
    .option('--lines', 'answer one JSON line for each input line')
    .action(
      async (name: string | undefined, options: { list?: boolean; schema?: boolean; lines?: boolean }) => {
        const { compute } = await import('./compute.ts')
        await compute(name, options)
      },
    )
}

function program(): Command {
  const kobrin = new Command('kobrin').description(
    'The shared daily record for people who keep many small animals.',
  )
  for (const add of [addServing, addStandIns, addUpkeep, addFileCommands, addCompute]) add(kobrin)
  return kobrin
}

export async function main(argv: readonly string[]): Promise<void> {
  // Anyone who reads our output may stop reading: that is no fault.
  process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1))
  try {
    await program().parseAsync([...argv])
  } catch (error) {
    fail(error)
  }
}
