import type { Ended } from './ended.ts'
import type { Going } from './stayState.ts'

/** How many goings are remembered that nothing is open of. */
const CLOSED_KEPT = 6

/** Whether something of it still has to be spoken of: a body, what it died of, when it comes back. */
export function isOpenGoing(gone: Ended | Going): boolean {
  const { disposal, postMortem, dueBack } = gone
  const returnedOn = 'returnedOn' in gone ? gone.returnedOn : undefined
  return (
    disposal === 'notYet' || postMortem?.found === null || (dueBack !== undefined && returnedOn === undefined)
  )
}

/** The goings with one more. Those that nothing is open of are forgotten after some others. */
export function withGoing(goings: readonly Going[], going: Going): Going[] {
  const all = [...goings, going]
  const dropped = new Set(all.filter((one) => !isOpenGoing(one)).slice(0, -CLOSED_KEPT))
  return all.filter((one) => !dropped.has(one))
}

/** Those that went by an entry came back on a day. */
export function withReturned(goings: readonly Going[], by: string, day: number): Going[] {
  return goings.map((going) => (going.uid === by ? { ...going, returnedOn: day } : going))
}
