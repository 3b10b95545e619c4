/** A process of readers who open the house again and again while they are told to: "read", "pause" and
 * "stop". Answers with how often the house was read. */
import { ROUTES } from '@kobrin/contract'
import { openSession } from './session.ts'

const [url = '', readers = '0'] = process.argv.slice(2)
const session = await openSession(url, Number(readers))
const now = { reading: false, read: 0, all: Promise.resolve<unknown>(undefined) }

async function reader(line: number): Promise<void> {
  for (; now.reading; now.read += 1) await session.call('GET', ROUTES.site.url, undefined, line)
}

async function paused(): Promise<void> {
  now.reading = false
  await now.all
  process.send?.(now.read)
}

process.on('message', (told) => {
  if (told === 'read') {
    now.reading = true
    now.all = Promise.all(Array.from({ length: Number(readers) }, (_, line) => reader(line)))
    return
  }
  void paused().then(() => {
    if (told !== 'stop') return
    session.close()
    process.disconnect()
  })
})
process.send?.(0)
