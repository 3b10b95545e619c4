import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { Sheet } from '@kobrin/core'
import { LineCounter, parseDocument } from 'yaml'
import { KobrinFault } from '../errors/fault.ts'

const SHIPPED = fileURLToPath(new URL('../../../library', import.meta.url))

/** Reads one sheet from YAML. Throws KobrinFault `bad_sheet` that names the file, the line and the field. */
export function readSheet(yaml: string, file: string): Sheet {
  const lines = new LineCounter()
  const document = parseDocument(yaml, { lineCounter: lines })
  const [syntax] = document.errors
  if (syntax) throw new KobrinFault('bad_sheet', `${file}: ${syntax.message}`)
  const read = Sheet.safeParse(document.toJS())
  if (read.success) return read.data
  const issue = read.error.issues[0]
  const path = (issue?.path ?? []) as (string | number)[]
  const node = document.getIn(path, true) as { range?: [number, number, number] } | undefined
  const line = node?.range ? ` line ${lines.linePos(node.range[0]).line},` : ''
  throw new KobrinFault('bad_sheet', `${file}:${line} ${path.join('.') || 'sheet'}: ${issue?.message ?? 'cannot be read'}`)
}

/** Every sheet of a folder; the shipped library unless another is named. */
export function readLibrary(folder = SHIPPED): Sheet[] {
  return readdirSync(folder)
    .filter((file) => file.endsWith('.yaml'))
    .sort()
    .map((file) => readSheet(readFileSync(join(folder, file), 'utf8'), file))
}
