import type { SheetFault } from '@kobrin/contract'
import { Sheet, sheetFaults, sheetQuestions } from '@kobrin/core'
import type { Document } from 'yaml'
import { LineCounter, parseDocument, stringify } from 'yaml'

export type ReadSheet = { sheet: Sheet } | { faults: SheetFault[] }

/** A sheet as somebody wrote it, with what is to be asked about it. */
export type JudgedSheet = { sheet: Sheet; questions: SheetFault[] } | { faults: SheetFault[] }

type Path = readonly PropertyKey[]

/** The line of a field, or of the nearest thing around it that was written. */
function lineOf(document: Document, lines: LineCounter, path: Path): number | null {
  for (let depth = path.length; depth >= 0; depth -= 1) {
    const node = document.getIn(path.slice(0, depth), true) as
      { range?: [number, number, number] } | undefined
    if (node?.range) return lines.linePos(node.range[0]).line
  }
  return null
}

/** Nobody reads more of them at once. */
const FAULTS_MOST = 20
const TANGLED = Symbol('tangled')

/** YAML lets a text refer to itself until a few lines fill the memory; the reader stops before that. */
function valueOf(document: Document): unknown {
  try {
    return document.toJS()
  } catch {
    return TANGLED
  }
}

type FaultAt = (path: Path, what: SheetFault['what']) => SheetFault

/** A sheet that stands, with a way to say of a field in which line of the text it is; or what is wrong. */
function examined(
  text: string,
  prepared: (value: unknown) => unknown,
): { sheet: Sheet; fault: FaultAt } | { faults: SheetFault[] } {
  const lines = new LineCounter()
  const document = parseDocument(text, { lineCounter: lines, prettyErrors: false })
  if (document.errors.length > 0)
    return {
      faults: document.errors.slice(0, FAULTS_MOST).map(({ message, pos }) => ({
        line: lines.linePos(pos[0]).line,
        field: 'text',
        what: { code: 'unread', message },
      })),
    }
  const fault: FaultAt = (path, what) => ({
    line: lineOf(document, lines, path),
    field: path.map(String).join('.') || 'sheet',
    what,
  })
  const value = valueOf(document)
  if (value === TANGLED) return { faults: [fault([], { code: 'tangled' })] }
  const read = Sheet.safeParse(prepared(value))
  if (!read.success)
    return {
      faults: read.error.issues
        .slice(0, FAULTS_MOST)
        .map(({ path, message }) => fault(path, { code: 'unread', message })),
    }
  const faults = sheetFaults(read.data)
    .slice(0, FAULTS_MOST)
    .map(({ path, what }) => fault(path, what))
  return faults.length > 0 ? { faults } : { sheet: read.data, fault }
}

/** Reads one sheet from YAML, `prepared` before it is looked at: what does not parse, what does not belong, what contradicts itself. */
export function readSheetText(text: string, prepared = (value: unknown) => value): ReadSheet {
  const read = examined(text, prepared)
  return 'faults' in read ? read : { sheet: read.sheet }
}

/** Reads one sheet and looks at it as a second opinion does: every stage under every side of its schools. */
export function judgeSheetText(text: string): JudgedSheet {
  const read = examined(text, (value) => value)
  if ('faults' in read) return read
  const { sheet, fault } = read
  const questions = sheetQuestions(sheet)
    .slice(0, FAULTS_MOST)
    .map(({ path, what }) => fault(path, what))
  return { sheet, questions }
}

const LINE_WIDTH = 108

/** A sheet as YAML that reads back as the same sheet. */
export function writeSheetText(sheet: Sheet): string {
  return stringify(sheet, { lineWidth: LINE_WIDTH, aliasDuplicateObjects: false })
}
