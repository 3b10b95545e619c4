import { readFileSync, statSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { Figure } from './figures.ts'

const DIST = fileURLToPath(new URL('../../web/dist/', import.meta.url))

/** What the page asks for before the walk stands: its scripts with everything they import outright,
 * and its styles, as compressed for the wire. */
export function sizeFigures(): Figure[] {
  const page = readFileSync(`${DIST}index.html`, 'utf8')
  const files = [...page.matchAll(/(?:src|href)="\/(assets\/[^"]+\.(?:js|css))"/g)].flatMap(
    ([, file]) => file ?? [],
  )
  const sizes = files.map((file) => ({ file, bytes: statSync(`${DIST}${file}.br`).size }))
  const total = sizes.reduce((sum, { bytes }) => sum + bytes, 0)
  return [
    {
      name: 'first-route-kb-brotli',
      value: total / 1024,
      limit: 130,
      about: sizes
        .map(({ file, bytes }) => `${file.replace(/^assets\/|-[^.]*/g, '')} ${(bytes / 1024).toFixed(1)}`)
        .join(', '),
    },
  ]
}
