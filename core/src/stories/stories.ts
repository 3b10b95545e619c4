import { missingOf } from '../facts/count/countState.ts'
import { countOf } from '../facts/count/howMany.ts'
import type { Entry } from '../facts/entries/entry.ts'
import { historyOf } from '../facts/feeding/accepted.ts'
import { lastMealDay, lastOffered, mealsIn, NO_FEEDS } from '../facts/feeding/feedLine.ts'
import { rowOn } from '../facts/feeding/offerSum.ts'
import { supplementsDue } from '../judging/feeding/supplementsDue.ts'
import { openNotes } from '../facts/handover/notes.ts'
import type { ResidentState } from '../facts/residents/residentState.ts'
import { shedDays } from '../facts/skin/skinState.ts'
import { entryOn as on, FIRST_DAY, KEEPERS, NEWCOMER, retraction, uidOf } from '../testing/histories.ts'
import type { ResidentDay } from '../judging/walk/residentDay.ts'

/** A short life: what happened, in the order in which it happened, and what a keeper knows is true of it on a day.
 * Anybody may add one. */
export interface Story {
  /** What the keeper knows. */
  knows: string
  /** Days from the first. */
  on: number
  happened: readonly Entry[]
  /** What is believed, put so that it can be read. */
  of: (state: ResidentState, day: ResidentDay) => unknown
  is: unknown
}

const HERE = uidOf(0xa1)
const THERE = uidOf(0xa2)
const here = on(0, 'arrived', { enclosure: HERE })
const line = ({ feeding }: ResidentState) => feeding.lines['feed'] ?? NO_FEEDS
const refusals = (day: number) => (state: ResidentState) => rowOn(line(state), FIRST_DAY + day)?.refusals ?? 0
const holds = (_: ResidentState, day: ResidentDay) => day.holds.map(({ hold }) => hold).sort()
const codes = (_: ResidentState, day: ResidentDay) => day.verdicts.map(({ what }) => what.code).sort()
const statusOf = (id: string) => (_: ResidentState, day: ResidentDay) =>
  day.tasks.find(({ duty }) => duty.id === id)?.status
const parts = ({ skin }: ResidentState) => skin.retained.map(({ part, layers }) => `${part} ${layers}`)
const seenOn = ({ looking }: ResidentState) => looking.seenOn && looking.seenOn - FIRST_DAY
const howMany = ({ count }: ResidentState) => count.howMany
const missing = ({ count }: ResidentState) => missingOf(count)

const roaches = { item: 'roaches' }
const fed = (day: number, outcome: 'taken' | 'part' | 'refused' | 'left', more: object = {}) =>
  on(day, 'fed', { ...roaches, outcome, ...more })
const untouched = (day: number, minute = 470) => on(day, 'bowl', { duty: 'feed', found: 'full' }, { minute })
const colony = (count: number | null) =>
  on(0, 'registered', { ...NEWCOMER, count, colony: true }, { minute: 1 })
const shed = (day: number, more: object = {}) => on(day, 'ecdysis', { stage: 'shed', ...more })
const note = on(1, 'noted', { text: 'Look at its left eye' })

export const STORIES: readonly Story[] = [
  // Meals
  {
    knows: 'prey dusted with calcium that was never eaten gave it no calcium',
    on: 3,
    happened: [here, fed(1, 'left', { supplements: ['calcium'] }), untouched(2)],
    of: (state) =>
      supplementsDue([{ name: 'calcium', everyMeals: 5 }], state, FIRST_DAY + 3).map(({ name }) => name),
    is: ['calcium'],
  },
  {
    knows: 'five nights of untouched roaches are five refusals',
    on: 6,
    happened: [
      here,
      fed(0, 'taken'),
      ...[1, 2, 3, 4, 5].flatMap((day) => [untouched(day), fed(day, 'left')]),
      untouched(6),
    ],
    of: refusals(6),
    is: 5,
  },
  {
    knows: 'what is found untouched just after new food was laid out is the old food',
    on: 4,
    happened: [here, fed(0, 'taken'), fed(1, 'left'), fed(2, 'left'), untouched(2, 485)],
    of: (state) => [refusals(2)(state), mealsIn(state.feeding)],
    is: [1, 2],
  },
  {
    knows: '"not offered, it still lies there" is no meal',
    on: 3,
    happened: [
      here,
      fed(0, 'taken'),
      fed(1, 'left'),
      on(2, 'fed', { ...roaches, outcome: 'notOffered', uneaten: true }),
    ],
    of: (state) => [lastMealDay(state.feeding), refusals(3)(state)],
    is: [FIRST_DAY, 1],
  },
  {
    knows:
      'food that is found untouched was not eaten, also when somebody came in between and offered nothing',
    on: 3,
    happened: [
      here,
      fed(0, 'taken'),
      fed(1, 'left'),
      on(2, 'fed', { ...roaches, outcome: 'notOffered', why: 'Still there' }),
      untouched(2, 600),
    ],
    of: (state) => [lastMealDay(state.feeding), refusals(3)(state)],
    is: [FIRST_DAY, 1],
  },
  {
    knows: 'a refusal is not forgotten because nothing was offered the day after',
    on: 2,
    happened: [here, fed(1, 'refused'), on(2, 'fed', { ...roaches, outcome: 'notOffered', why: 'Hidden' })],
    of: (state) => [refusals(2)(state), lastOffered(line(state))?.outcome],
    is: [1, 'refused'],
  },
  {
    knows: 'what was left last night neither ends a row of refusals nor lengthens it',
    on: 5,
    happened: [here, fed(1, 'refused'), fed(2, 'refused'), fed(5, 'left')],
    of: (state) => [refusals(5)(state), refusals(6)(state), refusals(7)(state)],
    is: [2, 2, 0],
  },
  {
    knows: 'an empty bowl that nobody named belongs to the food that was laid out',
    on: 3,
    happened: [here, fed(1, 'left', { duty: 'insects' }), on(2, 'bowl', { found: 'full' })],
    of: (state) => rowOn(state.feeding.lines['insects'] ?? NO_FEEDS, FIRST_DAY + 3)?.refusals,
    is: 1,
  },
  {
    knows: 'a food is refused three times in a row whichever way that was found',
    on: 8,
    happened: [here, fed(1, 'refused'), fed(3, 'left'), untouched(4), fed(6, 'refused')],
    of: (state) => historyOf(state.feeding, 'roaches')?.refusedInRow,
    is: 3,
  },
  // Evidence
  {
    knows: 'one that ate in view is not sealed in any more',
    on: 6,
    happened: [here, on(1, 'ecdysis', { stage: 'sealedIn' }), fed(5, 'taken')],
    of: (state) => state.skin.sign,
    is: null,
  },
  {
    knows: 'one that ate in view after its molt has hardened',
    on: 9,
    happened: [here, on(1, 'ecdysis', { stage: 'molted' }), fed(8, 'taken')],
    of: (state) => state.skin.sign,
    is: null,
  },
  {
    knows: 'a shed ends "in blue", also where somebody set it by hand',
    on: 9,
    happened: [here, on(2, 'held', { hold: 'inBlue', reason: 'Milky eyes' }), shed(8, { how: 'whole' })],
    of: holds,
    is: [],
  },
  {
    knows: 'one that was moved, counted, photographed or scored was seen',
    on: 9,
    happened: [here, on(5, 'moved', { to: THERE })],
    of: seenOn,
    is: 5,
  },
  {
    knows: 'one that was photographed was seen',
    on: 9,
    happened: [here, on(6, 'photographed', { photo: uidOf(0xb1) })],
    of: seenOn,
    is: 6,
  },
  {
    knows: 'a count that found nobody is no sighting',
    on: 9,
    happened: [here, on(2, 'looked', { seen: true }), on(6, 'counted', { count: 0, expected: 1 })],
    of: seenOn,
    is: 2,
  },
  {
    knows: 'a refusal from the tongs, in sight, is a sighting',
    on: 9,
    happened: [here, fed(6, 'refused', { inSight: true })],
    of: seenOn,
    is: 6,
  },
  {
    knows: 'a skin that was found is no sighting, and it shed all the same',
    on: 9,
    happened: [here, on(2, 'looked', { seen: true }), shed(7, { skinFound: true })],
    of: (state) => [seenOn(state), shedDays(state.skin), state.looking.found?.aliveOn],
    is: [2, [FIRST_DAY + 7], FIRST_DAY + 7],
  },
  {
    knows: 'only a whole shed takes old skin with it',
    on: 60,
    happened: [here, shed(1, { how: 'inPieces', retained: ['eyeCaps'] }), shed(50, { how: 'inPieces' })],
    of: parts,
    is: ['eyeCaps 1'],
  },
  {
    knows: 'old skin that stays on at the next shed lies in two layers',
    on: 60,
    happened: [
      here,
      shed(1, { how: 'inPieces', retained: ['eyeCaps'] }),
      shed(50, { how: 'inPieces', retained: ['eyeCaps', 'toes'] }),
    ],
    of: parts,
    is: ['eyeCaps 2', 'toes 1'],
  },
  {
    knows: 'one shed told by two people is one shed, and leaves one layer',
    on: 3,
    happened: [
      here,
      shed(1, { how: 'inPieces', retained: ['toes'] }),
      on(2, 'ecdysis', { stage: 'shed', how: 'inPieces', retained: ['toes'] }),
    ],
    of: (state) => [parts(state), shedDays(state.skin).length],
    is: [['toes 1'], 1],
  },
  {
    knows: 'what was said by hand to last until a day ends on that day',
    on: 9,
    happened: [here, on(1, 'held', { hold: 'leaveBe', until: FIRST_DAY + 9, reason: 'New' })],
    of: holds,
    is: [],
  },
  {
    knows: 'it lasts until then',
    on: 8,
    happened: [here, on(1, 'held', { hold: 'leaveBe', until: FIRST_DAY + 9, reason: 'New' })],
    of: holds,
    is: ['leaveBe'],
  },
  {
    knows: 'said a second time, a hold began when it was said first',
    on: 30,
    happened: [
      here,
      on(10, 'held', { hold: 'gravid', reason: 'Round' }),
      on(20, 'held', { hold: 'gravid', until: FIRST_DAY + 40, reason: 'Still' }),
    ],
    of: (_, day) => day.holds.map(({ hold, since, expectedEnd }) => [hold, since - FIRST_DAY, expectedEnd]),
    is: [['gravid', 10, FIRST_DAY + 40]],
  },
  {
    knows: 'two notes for the next shift are two notes, and the answered one is no longer shown',
    on: 3,
    happened: [
      here,
      note,
      on(2, 'noted', { text: 'Weigh it' }),
      on(3, 'answered', { note: note.uid }, { author: KEEPERS[1] }),
    ],
    of: ({ notes }) => openNotes(notes).map(({ text }) => text),
    is: ['Weigh it'],
  },
  {
    knows: 'an answer that was taken back leaves the note open',
    on: 3,
    happened: (() => {
      const said = on(3, 'answered', { note: note.uid })
      return [here, note, said, retraction(said)]
    })(),
    of: ({ notes }) => openNotes(notes).map(({ text }) => text),
    is: ['Look at its left eye'],
  },
  // Stays
  {
    knows: 'one that was lent for half a year comes home without a single alarm',
    on: 191,
    happened: [
      here,
      on(0, 'weighed', { grams: 90 }),
      fed(2, 'refused'),
      fed(4, 'refused'),
      on(5, 'ecdysis', { stage: 'inBlue' }),
      on(6, 'held', { hold: 'gravid', reason: 'Round' }),
      on(8, 'left', { to: 'The school', as: 'lent', dueBack: FIRST_DAY + 190 }),
      on(190, 'arrived', { enclosure: HERE }),
    ],
    of: codes,
    is: [],
  },
  {
    knows: 'what was before it was lent is still on record',
    on: 191,
    happened: [
      here,
      on(0, 'weighed', { grams: 90 }),
      on(8, 'left', { to: 'The school', as: 'lent' }),
      on(190, 'arrived', { enclosure: HERE }),
    ],
    of: ({ stay, growth }) => [
      stay.before.map(({ arrivedOn, ended }) => [arrivedOn, ended.as]),
      growth.earlier?.map(({ grams }) => grams),
    ],
    is: [[[FIRST_DAY, 'lent']], [90]],
  },
  {
    knows: 'one that is dead is not moved, expected, fed or seen',
    on: 9,
    happened: [
      here,
      on(2, 'died', {}),
      on(3, 'moved', { to: THERE }),
      on(4, 'expected', { enclosure: THERE }),
      fed(5, 'taken'),
      on(6, 'arrived', { enclosure: THERE }),
    ],
    of: ({ stay, feeding, looking }) => [
      stay.place,
      stay.expected,
      stay.ended?.how,
      feeding.lines,
      looking.seenOn,
    ],
    is: [null, null, 'died', {}, null],
  },
  {
    knows: 'to be expected moves nobody who is here',
    on: 3,
    happened: [here, on(2, 'expected', { enclosure: THERE })],
    of: ({ stay }) => [stay.place?.enclosure, stay.expected],
    is: [HERE, null],
  },
  {
    knows: 'nobody arrives twice without having gone',
    on: 6,
    happened: [here, on(5, 'arrived', { enclosure: THERE })],
    of: ({ stay }) => [stay.arrivedOn, stay.place?.enclosure],
    is: [FIRST_DAY, HERE],
  },
  {
    knows: 'it died the way it was told first',
    on: 6,
    happened: [here, on(4, 'died', { why: 'Found cold' }), on(5, 'left', { to: 'Nobody' })],
    of: ({ stay }) => [stay.ended?.how, stay.ended?.day],
    is: ['died', FIRST_DAY + 4],
  },
  // How many
  {
    knows: 'a colony that nobody has counted is not one animal, and is not none',
    on: 1,
    happened: [colony(null), here],
    of: howMany,
    is: { is: 'uncounted', atLeast: 1 },
  },
  {
    knows: '25 dead of a culture last counted at 20 were more than 20, and it has not ended',
    on: 9,
    happened: [colony(20), here, on(8, 'died', { count: 25 })],
    of: (state) => [howMany(state), state.stay.ended],
    is: [{ is: 'uncounted', atLeast: 0 }, null],
  },
  {
    knows: '9 young added to an uncounted colony leave it uncounted, at least 9 more',
    on: 9,
    happened: [colony(null), here, on(8, 'gained', { count: 9 })],
    of: howMany,
    is: { is: 'uncounted', atLeast: 10 },
  },
  {
    knows: 'a full count ends what was missing',
    on: 30,
    happened: [
      colony(10),
      here,
      on(5, 'counted', { count: 8, expected: 10 }),
      on(20, 'counted', { count: 9 }),
    ],
    of: (state) => [missing(state), countOf(state)],
    is: [0, 9],
  },
  {
    knows: 'a missing one that is found dead is not missing twice',
    on: 9,
    happened: [colony(10), here, on(5, 'counted', { count: 8, expected: 10 }), on(7, 'died', { count: 1 })],
    of: (state) => [missing(state), countOf(state)],
    is: [1, 8],
  },
  {
    knows: 'three of ten lent until a day are spoken of when it comes near',
    on: 58,
    happened: [
      colony(10),
      here,
      on(5, 'left', { count: 3, to: 'The school', as: 'lent', dueBack: FIRST_DAY + 60 }),
    ],
    of: (state, day) => [countOf(state), codes(state, day).filter((code) => code === 'dueBack')],
    is: [7, ['dueBack']],
  },
  {
    knows: 'and of no more once they are back',
    on: 62,
    happened: (() => {
      const lent = on(5, 'left', { count: 3, to: 'The school', as: 'lent', dueBack: FIRST_DAY + 60 })
      return [colony(10), here, lent, on(59, 'gained', { count: 3, returns: lent.uid })]
    })(),
    of: (state, day) => [countOf(state), codes(state, day).filter((code) => code === 'dueBack')],
    is: [10, []],
  },
  // Clocks
  {
    knows: 'silence is a worry from its day on',
    on: 19,
    happened: [here, on(5, 'ecdysis', { stage: 'inBlue' })],
    of: codes,
    is: ['signTooLong'],
  },
  {
    knows: 'water is done once it was done',
    on: 2,
    happened: [here, on(2, 'watered', {})],
    of: statusOf('water'),
    is: 'done',
  },
  {
    knows: 'water given in the box it was moved out of is not given where it lives now',
    on: 2,
    happened: [here, on(2, 'watered', {}, { minute: 400 }), on(2, 'moved', { to: THERE }, { minute: 500 })],
    of: statusOf('water'),
    is: 'late',
  },
]
