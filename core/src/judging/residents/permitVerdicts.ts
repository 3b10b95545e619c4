import type { Evidence } from '../verdicts/evidence.ts'
import type { Verdict } from '../verdicts/verdict.ts'

/** Days before its last day from which a licence is spoken of: renewing one takes weeks. */
const AHEAD = 60
/** From here on somebody has to act. */
const PRESSING = 14

/** Licences that end soon or have ended. */
export function permitVerdicts({ day, state }: Pick<Evidence, 'day' | 'state'>): Verdict[] {
  return (state.identity?.permits ?? []).flatMap(({ number, what, until }): Verdict[] => {
    if (until === null || until - day > AHEAD) return []
    return [
      {
        severity: until - day <= PRESSING ? 'act' : 'watch',
        what: { code: 'permitEnds', number, until },
        because: [
          { fact: 'permit', number, what: what ?? null, until },
          { rule: 'permit', days: AHEAD },
        ],
      },
    ]
  })
}
