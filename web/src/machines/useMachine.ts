import type { Reactive, ShallowRef } from 'vue'
import { computed, reactive, shallowRef } from 'vue'

/** How a machine stands after an event, and what is to be done about it. */
export interface Turn<State, Deed = never> {
  now: State
  does?: Deed
}

interface Machine<State, Event> {
  now: ShallowRef<State>
  tell: (event: Event) => void
}

/** Something that happens step by step, for a page to draw: `step` knows what an event makes of it and touches
 * nothing, `act` does what has to be done about it. */
export function useMachine<State, Event, Deed = never>(
  start: State,
  step: (now: State, event: Event) => Turn<State, Deed>,
  act?: (deed: Deed) => void,
): Machine<State, Event> {
  const now = shallowRef(start)
  function tell(event: Event): void {
    const turn = step(now.value, event)
    now.value = turn.now
    if (turn.does !== undefined) act?.(turn.does)
  }
  return { now, tell }
}

/** What is typed into a machine, field by field, as forms and drafts bind it. */
export function typedInto<Fields extends object>(
  fields: () => Fields,
  type: (part: Partial<Fields>) => void,
): Reactive<Fields> {
  const names = Object.keys(fields()) as (keyof Fields)[]
  const bound = names.map((name) => [
    name,
    computed({
      get: () => fields()[name],
      set: (value) => type({ [name]: value } as unknown as Partial<Fields>),
    }),
  ])
  return reactive(Object.fromEntries(bound) as object) as Reactive<Fields>
}
