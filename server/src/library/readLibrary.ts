import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Sheet } from '@kobrin/core'
import { KobrinFault } from '../errors/fault.ts'
import type { SharedSigns } from './sharedSigns.ts'
import { readSharedSigns, withSharedSigns } from './sharedSigns.ts'
import { readSheetText } from './sheetText.ts'

const SHIPPED = fileURLToPath(new URL('../../../library', import.meta.url))

/** Reads one sheet from YAML. Throws KobrinFault `bad_sheet` that names the file, the line and the field. */
export function readSheet(yaml: string, file: string, shared: SharedSigns = new Map()): Sheet {
  const read = readSheetText(yaml, (value) => withSharedSigns(value, shared, file))
  if ('sheet' in read) return read.sheet
  const [fault] = read.faults
  const line = fault?.line == null ? '' : ` line ${fault.line},`
  const what = fault?.what.code === 'unread' ? fault.what.message : JSON.stringify(fault?.what)
  throw new KobrinFault('bad_sheet', `${file}:${line} ${fault?.field ?? 'sheet'}: ${what}`)
}

/** Every sheet of a folder; the shipped library unless another is named. */
export function readLibrary(folder = SHIPPED): Sheet[] {
  const shared = readSharedSigns(folder)
  return readdirSync(folder)
    .filter((file) => file.endsWith('.yaml'))
    .sort()
    .map((file) => readSheet(readFileSync(join(folder, file), 'utf8'), file, shared))
}
