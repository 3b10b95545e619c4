import * as z from 'zod/mini'
import { EcdysisStage } from '../facts/skin/skinState.ts'
import { Entry } from '../facts/entries/entry.ts'
import { FeedOutcome } from '../facts/feeding/feedingState.ts'
import { Severity } from '../facts/health/severity.ts'
import { replay } from '../facts/fold/replay.ts'
import { keptFloor } from '../judging/lots/keptFloor.ts'
import { Uid } from '../facts/subjects/values.ts'
import { ResidentState } from '../facts/residents/residentState.ts'
import { HoldKind } from '../facts/holds/holdKind.ts'
import { DutyKind } from '../plans/plan/duty.ts'
import { Plan } from '../plans/plan/plan.ts'
import { Barrier, Place } from '../facts/places/place.ts'
import { TooLarge } from '../judging/feeding/mealAmount.ts'
import type { Offering } from '../judging/feeding/offeringOn.ts'
import type { Task } from '../judging/walk/task.ts'
import { walk } from '../judging/walk/walk.ts'
import type { Computation } from './computation.ts'

const Input = z.strictObject({
  day: z.number(),
  minute: z.optional(z.number().check(z.minimum(0), z.maximum(1440))),
  residents: z.array(
    z.strictObject({
      id: z.string(),
      plan: Plan,
      state: z.optional(ResidentState).check(z.describe('The fold of its entries; or give the entries.')),
      entries: z.optional(z.array(Entry)),
      floors: z
        ._default(z.array(z.strictObject({ lot: Uid, entries: z.array(Entry) })), [])
        .check(z.describe('Old floors of it that were put aside.')),
      readings: z
        ._default(z.array(Entry), [])
        .check(z.describe('What was said of the place it lives in: readings, water, cleaning.')),
      place: Place,
    }),
  ),
})

const range = z.tuple([z.number(), z.number()])
const Because = z.array(z.looseObject({}))

const OfferingOut = z.strictObject({
  item: z.string(),
  size: z.optional(z.string()),
  count: z.optional(range),
  grams: z.optional(range),
  supplements: z.array(z.string()),
  because: Because,
})

const TaskOut = z.strictObject({
  resident: z.string(),
  duty: z.string(),
  does: DutyKind,
  status: z.enum(['notYet', 'open', 'due', 'late', 'held', 'done']),
  dueOn: z.nullable(z.number()),
  daysOver: z.number(),
  lateness: z.number(),
  hold: z.optional(HoldKind),
  opensAtMinute: z.optional(z.number()),
  emptySince: z.optional(z.number()),
  keptAt: z.optional(z.string()),
  offering: z.optional(OfferingOut),
  ahead: z.optional(OfferingOut),
  nothingToOffer: z.optional(z.boolean()),
  leftToFind: z.optional(
    z.strictObject({ duty: z.string(), item: z.string(), at: z.string(), outBy: z.string() }),
  ),
  tooLarge: z.optional(z.extend(TooLarge, { item: z.string(), instead: z.array(z.string()) })),
  done: z.optional(
    z.strictObject({ at: z.string(), by: z.string(), uid: z.string(), outcome: z.optional(FeedOutcome) }),
  ),
  people: z.number(),
  competence: z.nullable(z.string()),
  because: Because,
})

const Output = z.strictObject({
  stops: z.array(
    z.strictObject({ room: z.string(), bay: z.string(), barrier: Barrier, tasks: z.array(TaskOut) }),
  ),
  residents: z.record(
    z.string(),
    z.strictObject({
      grams: z.nullable(z.number()),
      holds: z.array(
        z.strictObject({
          hold: HoldKind,
          since: z.number(),
          expectedEnd: z.nullable(z.number()),
          worryFrom: z.nullable(z.number()),
          overdue: z.boolean(),
          suppresses: z.array(DutyKind),
          endsBy: z.enum(['time', 'event']),
          because: Because,
        }),
      ),
      verdicts: z.array(
        z.strictObject({ severity: Severity, what: z.looseObject({ code: z.string() }), because: Because }),
      ),
      ecdysis: z.nullable(EcdysisStage),
    }),
  ),
  prep: z.strictObject({
    carry: z.array(
      z.strictObject({
        item: z.string(),
        size: z.nullable(z.string()),
        count: range,
        grams: range,
        meals: z.number(),
        supplements: z.record(z.string(), z.number()),
      }),
    ),
    ahead: z.array(
      z.strictObject({
        do: z.enum(['thaw', 'gutLoad']),
        item: z.string(),
        size: z.nullable(z.string()),
        forDay: z.number(),
        count: z.number(),
        grams: z.number(),
      }),
    ),
    litres: z.number(),
    minutes: z.number(),
    dusting: z.record(z.string(), z.number()),
  }),
})

type Out = z.input<typeof Output>

function offeringOut({ count, grams, ...offering }: Offering): z.input<typeof OfferingOut> {
  return { ...offering, ...(count && { count: [...count] }), ...(grams && { grams: [...grams] }) }
}

function taskOut(resident: string, { duty, offering, ahead, ...task }: Task): z.input<typeof TaskOut> {
  return {
    resident,
    duty: duty.id,
    does: duty.does,
    people: duty.people,
    competence: duty.competence ?? null,
    ...task,
    ...(offering && { offering: offeringOut(offering) }),
    ...(ahead && { ahead: offeringOut(ahead) }),
  }
}

function run({ day, minute, residents }: z.output<typeof Input>): Out {
  const known = residents.map(({ id, plan, state, entries, floors, readings, place }) => {
    const box = replay('place', readings)
    return {
      id,
      plan,
      place,
      state: state ?? replay('resident', entries ?? []),
      readings: box.readings ?? {},
      box: box.done,
      floors: floors.flatMap(({ lot, entries: ofLot }) => keptFloor(lot, replay('lot', ofLot)) ?? []),
    }
  })
  const states = new Map(known.map(({ id, state }) => [id, state]))
  const { stops, prep } = walk({ day, residents: known, ...(minute !== undefined && { minute }) })
  const about: Out['residents'] = {}
  for (const { resident, holds, verdicts, weight } of stops.flatMap(({ visits }) => visits)) {
    about[resident] = {
      grams: weight?.grams ?? null,
      holds: holds.map((hold) => ({ ...hold, suppresses: [...hold.suppresses] })),
      verdicts,
      ecdysis: states.get(resident)?.skin.sign?.stage ?? null,
    }
  }
  return {
    stops: stops.map(({ room, bay, barrier, visits }) => ({
      room,
      bay,
      barrier,
      tasks: visits.flatMap(({ resident, tasks }) => tasks.map((task) => taskOut(resident, task))),
    })),
    residents: about,
    prep: {
      ...prep,
      carry: prep.carry.map((item) => ({ ...item, count: [...item.count], grams: [...item.grams] })),
    },
  }
}

export const walkComputation: Computation<typeof Input, typeof Output> = {
  name: 'walk',
  about: 'The walk of a day: what every resident needs, why, in the order to walk, and what to prepare.',
  input: Input,
  output: Output,
  run,
}
