import type {
  Draft,
  DutyKind,
  EcdysisStage,
  FeedOutcome,
  HoldKind,
  ResidentDay,
  Severity,
  SheetGroup,
  Task,
} from '@kobrin/core'
import { fedDraft } from '@kobrin/core'
import { words } from '../words/en.ts'

/** What one exception still needs to know. */
export type Ask =
  | { type: 'nothing'; draft: Draft }
  | { type: 'number'; unit: string; draft: (value: number) => Draft }
  | { type: 'choice'; options: { key: string; label: string; draft: Draft }[] }
  | {
      type: 'text'
      prompt: string
      draft: (text: string) => Draft
      severity?: (text: string, severity: Severity) => Draft
    }

export interface Exception {
  id: string
  key: string
  label: string
  ask: Ask
}

export interface ExceptionsFor {
  residentId: string
  group: SheetGroup
  day: ResidentDay
}

const FEED_ORDER: readonly Task['status'][] = ['late', 'due', 'held', 'open', 'done', 'notYet']

/** The meal an exception speaks of: the most pressing one. */
export function mealOf({ tasks }: ResidentDay): Task | undefined {
  const feeds = tasks.filter(({ duty }) => duty.does === 'feed')
  return feeds.sort((a, b) => FEED_ORDER.indexOf(a.status) - FEED_ORDER.indexOf(b.status))[0]
}

function offered(residentId: string, task: Task, outcome: FeedOutcome, why?: string): Draft {
  const food = task.duty.foods?.[0]
  const offering = task.offering ?? {
    item: food?.item ?? 'food',
    ...(food?.sizes[0] && { size: food.sizes[0].size }),
    supplements: [],
    because: [],
  }
  return fedDraft(residentId, task, offering, outcome, why)
}

const WHY_NOT = ['Busy with its skin', 'Still has a full stomach', 'Hidden or asleep', 'Food not ready']

function feeding(residentId: string, task: Task): Exception[] {
  const simple = (key: string, outcome: FeedOutcome, label: string): Exception => ({
    id: outcome,
    key,
    label,
    ask: { type: 'nothing', draft: offered(residentId, task, outcome) },
  })
  const list = [
    simple('p', 'part', 'Part taken'),
    simple('r', 'refused', 'Refused'),
    simple('l', 'left', 'Left to find'),
    {
      id: 'notOffered',
      key: 'x',
      label: 'Not offered',
      ask: {
        type: 'choice' as const,
        options: WHY_NOT.map((why, index) => ({
          key: String(index + 1),
          label: why,
          draft: offered(residentId, task, 'notOffered', why),
        })),
      },
    },
  ]
  return [...list, bowl(residentId, task)]
}

function bowl(residentId: string, task: Task): Exception {
  const say = (
    key: string,
    label: string,
    found: 'empty' | 'leftovers' | 'full',
    leftFraction?: number,
    refilled?: boolean,
  ) => ({
    key,
    label,
    draft: {
      residentId,
      kind: 'bowl',
      payload: {
        duty: task.duty.id,
        found,
        ...(leftFraction !== undefined && { leftFraction }),
        ...(refilled !== undefined && { refilled }),
      },
    } as Draft,
  })
  return {
    id: 'bowl',
    key: 'e',
    label: 'Bowl found …',
    ask: {
      type: 'choice',
      options: [
        say('1', 'Empty, refilled', 'empty', undefined, true),
        say('2', 'Empty', 'empty'),
        say('3', 'A little left', 'leftovers', 0.1),
        say('4', 'About half left', 'leftovers', 0.5),
        say('5', 'Hardly touched', 'full', 0.95),
      ],
    },
  }
}

const SKIN_STAGES: Readonly<Record<'reptile' | 'arthropod', readonly EcdysisStage[]>> = {
  reptile: ['dull', 'inBlue', 'clear', 'shed'],
  arthropod: ['premolt', 'sealedIn', 'molted', 'hardened'],
}

interface SkinOption {
  label: string
  payload: Extract<Draft, { kind: 'ecdysis' }>['payload']
}

const REPTILES: readonly SheetGroup[] = ['snake', 'lizard', 'tortoise', 'frog', 'salamander']

function skin(residentId: string, group: SheetGroup): Exception {
  const stages = SKIN_STAGES[REPTILES.includes(group) ? 'reptile' : 'arthropod']
  const options = stages.flatMap((stage): SkinOption[] => {
    if (stage !== 'shed' && stage !== 'molted') return [{ label: words.stage[stage], payload: { stage } }]
    return [
      { label: `${words.stage[stage]}, whole`, payload: { stage, how: 'whole' } },
      { label: `${words.stage[stage]}, in pieces`, payload: { stage, how: 'inPieces' } },
    ]
  })
  if (stages.includes('shed')) {
    options.push(
      {
        label: 'Shed, eye caps still on',
        payload: { stage: 'shed', how: 'inPieces', retained: ['eyeCaps'] },
      },
      {
        label: 'Shed, toes or tail tip still on',
        payload: { stage: 'shed', how: 'inPieces', retained: ['toes', 'tailTip'] },
      },
    )
  }
  return {
    id: 'skin',
    key: 's',
    label: 'Shed or molt sign',
    ask: {
      type: 'choice',
      options: options.map(({ label, payload }, index) => ({
        key: String(index + 1),
        label,
        draft: { residentId, kind: 'ecdysis', payload },
      })),
    },
  }
}

function dutyOf(day: ResidentDay, does: DutyKind): string | undefined {
  return day.tasks.find(({ duty }) => duty.does === does)?.duty.id
}

const PERSON_HOLDS: readonly HoldKind[] = [
  'gravid',
  'leaveBe',
  'winterRest',
  'founding',
  'settling',
  'vetOrder',
  'incubating',
]

function holding(residentId: string, { holds }: ResidentDay): Exception[] {
  const set: Exception = {
    id: 'hold',
    key: 'h',
    label: 'Hold …',
    ask: {
      type: 'choice',
      options: PERSON_HOLDS.map((hold, index) => ({
        key: String(index + 1),
        label: words.hold[hold],
        draft: { residentId, kind: 'held', payload: { hold, reason: 'Set on the round.' } },
      })),
    },
  }
  const liftable = holds.filter(({ endsBy }) => endsBy === 'event')
  if (liftable.length === 0) return [set]
  const lift: Exception = {
    id: 'lift',
    key: 'v',
    label: 'Lift a hold',
    ask: {
      type: 'choice',
      options: liftable.map(({ hold }, index) => ({
        key: String(index + 1),
        label: words.hold[hold],
        draft: { residentId, kind: 'released', payload: { hold } },
      })),
    },
  }
  return [set, lift]
}

const DROPPINGS = ['normal', 'loose', 'hard', 'bloody', 'urates', 'none'] as const

function general(residentId: string, day: ResidentDay): Exception[] {
  const look = dutyOf(day, 'look')
  const weigh = dutyOf(day, 'weigh')
  return [
    {
      id: 'weigh',
      key: 'w',
      label: 'Weigh',
      ask: {
        type: 'number',
        unit: 'g',
        draft: (grams) => ({
          residentId,
          kind: 'weighed',
          payload: { ...(weigh && { duty: weigh }), grams },
        }),
      },
    },
    {
      id: 'unseen',
      key: 'z',
      label: 'Looked, not seen',
      ask: {
        type: 'nothing',
        draft: { residentId, kind: 'sighted', payload: { ...(look && { duty: look }), seen: false } },
      },
    },
    {
      id: 'clean',
      key: 'c',
      label: 'Spot-cleaned',
      ask: { type: 'nothing', draft: { residentId, kind: 'cleaned', payload: { scope: 'spot' } } },
    },
    {
      id: 'dampen',
      key: 'd',
      label: 'Dampened',
      ask: { type: 'nothing', draft: { residentId, kind: 'moistened', payload: {} } },
    },
    {
      id: 'droppings',
      key: 'o',
      label: 'Droppings',
      ask: {
        type: 'choice',
        options: DROPPINGS.map((kind, index) => ({
          key: String(index + 1),
          label: kind,
          draft: { residentId, kind: 'droppings', payload: { look: kind } },
        })),
      },
    },
    {
      id: 'measure',
      key: 'm',
      label: 'Measure length',
      ask: {
        type: 'number',
        unit: 'mm',
        draft: (mm) => ({ residentId, kind: 'measured', payload: { part: 'length', mm } }),
      },
    },
    {
      id: 'saw',
      key: 'n',
      label: 'Saw something',
      ask: {
        type: 'text',
        prompt: 'What did you see?',
        draft: (text) => ({ residentId, kind: 'observed', payload: { text, severity: 'watch' } }),
        severity: (text, severity) => ({ residentId, kind: 'observed', payload: { text, severity } }),
      },
    },
    {
      id: 'note',
      key: 't',
      label: 'Note for the next shift',
      ask: {
        type: 'text',
        prompt: 'Note',
        draft: (text) => ({ residentId, kind: 'noted', payload: { text } }),
      },
    },
  ]
}

/** Everything that can be said about a resident besides "as planned", each on one key. */
export function exceptionsFor({ residentId, group, day }: ExceptionsFor): Exception[] {
  const meal = mealOf(day)
  return [
    ...(meal ? feeding(residentId, meal) : []),
    ...general(residentId, day).slice(0, 1),
    skin(residentId, group),
    ...general(residentId, day).slice(1),
    ...holding(residentId, day),
  ]
}
