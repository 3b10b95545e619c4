import { syntaxTree } from '@codemirror/language'
import type { EditorState } from '@codemirror/state'

type SyntaxNode = ReturnType<typeof syntaxTree>['topNode']

/** Where a cursor stands in a text of YAML. */
export interface YamlPlace {
  /** The fields it lies in, outermost first. */
  path: string[]
  /** Set when the value of a field is being written. */
  field: string | null
}

const KEY = /^(\s*(?:- +)*)([\w-]+):(?:\s|$)/
const LEAD = /^\s*(?:- +)*/

/** The fields written on the lines above that the text at a column lies in: each stands further left than what
 * it holds. */
function linesAbove(state: EditorState, line: number, column: number): string[] {
  const path: string[] = []
  let edge = column
  for (let at = line - 1; at >= 1 && edge > 0; at -= 1) {
    const [, lead, key] = KEY.exec(state.doc.line(at).text) ?? []
    if (lead === undefined || key === undefined || lead.length >= edge) continue
    path.unshift(key)
    edge = lead.length
  }
  return path
}

function keyOf(state: EditorState, pair: SyntaxNode): string {
  const key = pair.getChild('Key')
  return key ? state.sliceDoc(key.from, key.to) : ''
}

/** The fields of braces on one line that a position lies in, outermost first. */
function bracesAround(state: EditorState, pos: number): { path: string[]; inside: boolean } {
  const path: string[] = []
  let inside = false
  let node: SyntaxNode | null = syntaxTree(state).resolveInner(pos, -1)
  // Where the braces end, or begin, is outside of them.
  for (; node; node = node.parent) {
    if (node.name === 'FlowMapping') inside ||= pos > node.from
    if (node.name === 'Pair' && node.getChild('FlowMapping') && inside) path.unshift(keyOf(state, node))
  }
  return { path, inside }
}

/** Where in a sheet a position lies. */
export function placeAt(state: EditorState, pos: number): YamlPlace {
  const line = state.doc.lineAt(pos)
  const before = line.text.slice(0, pos - line.from)
  const column = LEAD.exec(before)?.[0].length ?? 0
  const [, , first] = KEY.exec(line.text) ?? []
  const value = /(?:^|[\s{,])([\w-]+):\s+["']?[\w-]*$/.exec(before)?.[1] ?? null
  const { path: braces, inside } = bracesAround(state, pos)
  const above = linesAbove(state, line.number, column)
  if (!inside) return { path: above, field: value }
  // The line's own field holds the braces, unless the field is one of theirs.
  const own = first !== undefined && braces[0] !== first ? [first] : []
  return { path: [...above, ...own, ...braces], field: value }
}
