import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { effectiveFacts } from '@kobrin/core'
import type { Whose } from './recordFile.ts'
import { t } from './words.ts'

/** What stands on paper of a record besides what stands in the file of data. */
export interface OnPaper extends Whose {
  /** Who it is, in lines. */
  about: readonly string[]
  /** What is wrong with it, and what stops a hand. */
  says: readonly string[]
  /** What it is given and asked for, a line to a duty. */
  plan: readonly string[]
  cautions: readonly string[]
  trusted: string
  asOf: string
  /** A moment as it is read. */
  when: (at: string) => string
}

function listed(title: string, lines: readonly string[]): Content[] {
  return lines.length === 0 ? [] : [{ text: title, style: 'title' }, { ul: lines.map(printable) }]
}

/** What is done day after day fills pages and says little: it stands in the file of data. */
const ROUTINE: ReadonlySet<string> = new Set([
  'looked',
  'watered',
  'dampened',
  'cleaned',
  'checked',
  'reading',
])

/** The letters that come with the maker of PDFs lack the narrow space between thousands. */
function printable(text: string): string {
  return text.replaceAll('\u202f', '\u00a0')
}

/** What counts of what was said and is no routine, the latest first. */
function historyOf({ entries, nameOf, say, when }: OnPaper): Content {
  const head: TableCell[] = [t('pdfDay'), t('pdfBy'), t('pdfSays')].map((text) => ({ text, bold: true }))
  const rows = effectiveFacts(entries)
    .filter(({ kind }) => !ROUTINE.has(kind))
    .reverse()
    .map((fact): TableCell[] => [when(fact.occurredAt), nameOf(fact.author), printable(say(fact))])
  return {
    table: { headerRows: 1, widths: ['auto', 'auto', '*'], body: [head, ...rows] },
    layout: 'lightHorizontalLines',
    fontSize: 9,
  }
}

/** The record of one resident on paper, for anyone who keeps it next. */
export function recordDocument(whose: OnPaper): TDocumentDefinitions {
  const { house, number, state, about, says, plan, cautions, trusted, asOf } = whose
  const name = state.register?.name ?? number
  return {
    info: { title: t('pdfTitle', { name }) },
    pageSize: 'A4',
    pageMargins: [45, 45, 45, 50],
    defaultStyle: { fontSize: 10, lineHeight: 1.15 },
    styles: { title: { fontSize: 13, bold: true, margin: [0, 12, 0, 4] } },
    footer: (page, pages) => ({
      columns: [{ text: `${name} · ${number}` }, { text: t('pdfOf', { page, pages }), alignment: 'right' }],
      fontSize: 8,
      margin: [45, 15, 45, 0],
    }),
    content: [
      { text: name, fontSize: 22, bold: true },
      ...about.map(printable),
      { text: t('pdfKeptBy', { house, date: asOf }), color: '#444444' },
      ...listed(t('whatTheRecordSays'), says),
      ...listed(t('planInForce'), plan),
      ...listed(t('careful'), cautions),
      { text: trusted, italics: true, margin: [0, 8, 0, 0] },
      { text: t('entries'), style: 'title' },
      { text: t('pdfWithoutRoutine'), color: '#444444', margin: [0, 0, 0, 4] },
      historyOf(whose),
    ],
  }
}
