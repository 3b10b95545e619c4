import type { DutyPatch } from '../plan/duty.ts'
import type { Fault } from './fault.ts'
import type { Sheet } from './sheet.ts'

type Path = Fault['path']

/** A sentence somebody may act on, and where it stands. */
interface Advice {
  says: string
  path: Path
}

/** What a never-line forbids, in words: what stands before its explanation. A line with a condition ("… left alone",
 * "… as a habit") forbids only all of it. */
function forbiddenBy(line: string): string {
  const [what = ''] = line.toLowerCase().split(/[:;,]/)
  return what.trim()
}

/** Words after which a sentence warns of a thing and does not advise it. */
const WARNS = /\b(no|not|never|none|without|out of|away from|look for|ask about|instead of)\b/

/** The clauses of a sentence, each of which may warn or advise. */
function clausesOf(says: string): string[] {
  return says.toLowerCase().split(/[.;:]/)
}

/** Words of a phrase, the last of them in one or in many. */
function phrase(words: string): RegExp {
  const escaped = words.replace(/[$()*+.?[\\\]^{|}]/g, String.raw`\$&`)
  return new RegExp(String.raw`(^|[^\w-])${escaped}(s|es)?(?![\w-])`)
}

function advises(says: string, forbidden: RegExp): boolean {
  return clausesOf(says).some((clause) => forbidden.test(clause) && !WARNS.test(clause))
}

function dutyAdvice(duties: readonly DutyPatch[], path: Path): Advice[] {
  return duties.flatMap((duty, index) => {
    if ('drop' in duty) return []
    const { label, foods = [], supplements = [], amount } = duty
    const instead = amount && 'instead' in amount ? (amount.instead ?? []) : []
    const said = [...(label ? [label] : []), ...foods.map(({ item }) => item), ...instead]
    const at = [...path, index]
    return [...said, ...supplements.map(({ name }) => name)].map((says) => ({ says, path: at }))
  })
}

function adviceOf({ stages, schools, signs, setup }: Sheet): Advice[] {
  const { before = [], daily = [], weekly = [] } = setup ?? {}
  return [
    ...stages.flatMap(({ duties }, index) => dutyAdvice(duties, ['stages', index, 'duties'])),
    ...schools.flatMap(({ options }, school) =>
      options.flatMap(({ duties, rest }, index) => {
        const path = ['schools', school, 'options', index]
        const wake = (rest?.wake ?? []).map((says) => ({ says, path }))
        return [...dutyAdvice(duties, [...path, 'duties']), ...wake]
      }),
    ),
    ...signs.flatMap(({ first }, index) => (first ? [{ says: first, path: ['signs', index] }] : [])),
    ...[...before, ...daily, ...weekly].map((says) => ({ says, path: ['setup'] })),
  ]
}

/** Where a sheet advises what its own never-list forbids. Words are compared, so it is asked about and not refused. */
export function adviceQuestions(sheet: Sheet): Fault[] {
  const lines = sheet.never.map((line) => ({ line, forbidden: phrase(forbiddenBy(line)) }))
  return adviceOf(sheet).flatMap(({ says, path }) =>
    lines
      .filter(({ forbidden }) => advises(says, forbidden))
      .map(({ line }): Fault => ({ path, what: { code: 'adviceForbidden', says, line } })),
  )
}
