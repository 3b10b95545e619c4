import type { SiteSeed } from '@kobrin/contract'
import type { HouseResident } from '../resident.ts'
import type { Draft } from '@kobrin/core'
import type { KeeperDay, Kept } from '../husbandry/keeping.ts'
import { record } from '../husbandry/keeping.ts'

/** What somebody says about a resident so many days before today. */
interface Beat {
  daysAgo: number
  who: string
  say: Pick<Draft, 'kind' | 'payload'>
  /** What it is about, where that is not the resident itself. */
  subject?: string
  /** Minutes after the resident's turn on the walk. */
  after?: number
}

export type Stories = ReadonlyMap<string, readonly Beat[]>

/** A tortoise eats nothing for so long before it is cooled. */
const FAST_DAYS = 30

type People = Readonly<Record<string, string>>

function noted(daysAgo: number, who: string, text: string): Beat {
  return { daysAgo, who, say: { kind: 'noted', payload: { text } } }
}

function observed(
  daysAgo: number,
  who: string,
  severity: 'info' | 'watch' | 'act' | 'urgent',
  text: string,
): Beat {
  return { daysAgo, who, say: { kind: 'observed', payload: { text, severity } } }
}

function held(daysAgo: number, who: string, hold: string, reason: string, until?: number): Beat {
  const payload = { hold, reason, ...(until !== undefined && { until }) }
  return { daysAgo, who, say: { kind: 'held', payload } as Beat['say'] }
}

function scored(daysAgo: number, who: string, score: number): Beat {
  return { daysAgo, who, say: { kind: 'condition', payload: { score } } }
}

/** What a story is told with. */
interface Telling {
  of: (sheet: string, stage?: string) => HouseResident[]
  tell: (resident: HouseResident | undefined, ...beats: Beat[]) => void
  today: number
  people: People
}

/** A rescue brought in thin, a course at the vet's word, a limp, two scores. */
function inCare({ of, tell, today, people }: Telling): void {
  const { kelechi = '', tomas = '', ines = '', priya = '' } = people
  tell(
    of('royal-python', 'adult').at(-1),
    observed(
      19,
      tomas,
      'act',
      'Came in thin and dry, ribs felt, two layers of old skin on the tail. Recovery plan: damp hide, small meals.',
    ),
    {
      daysAgo: 12,
      who: tomas,
      say: {
        kind: 'ecdysis',
        payload: { stage: 'shed', how: 'inPieces', retained: ['tailTip', 'eyeCaps'] },
      },
    },
    noted(4, kelechi, 'Left eye cap still on. Damp hide refreshed; look again at each visit, do not pull.'),
  )
  tell(
    of('western-hognose').at(-1),
    held(6, ines, 'vetOrder', 'No food until the recheck.', today + 1),
    observed(6, ines, 'watch', 'Mouth looked at. Recheck in a week.'),
  )
  tell(of('leopard-gecko').at(-3), observed(2, priya, 'watch', 'Favours the left hind foot when it turns.'))
  tell(of('royal-python', 'adult')[2], scored(6, kelechi, 4.5))
  tell(of('hermanns-tortoise')[2], scored(4, ines, 3))
}

/** Winter rest, queens that found a colony, a gravid snake. */
function resting({ of, tell, today, people: { maren = '', lotte = '', kelechi = '' } }: Telling): void {
  const [oldestTortoise, secondTortoise] = of('hermanns-tortoise')
  const restsSince = (daysAgo: number, reason: string, until: number): Beat[] => [
    held(daysAgo + FAST_DAYS, maren, 'fasting', 'An empty gut before the cold.', today - daysAgo),
    { daysAgo, who: maren, say: { kind: 'released', payload: { hold: 'fasting' } } },
    held(daysAgo, maren, 'winterRest', reason, until),
  ]
  tell(oldestTortoise, ...restsSince(24, 'Weight and faeces checked, fasted four weeks.', today + 60))
  tell(
    secondTortoise,
    ...restsSince(40, 'Short rest, to be weighed and looked at after six weeks.', today - 2),
  )
  for (const founding of of('harvester-ant', 'founding').slice(0, 4))
    tell(founding, held(30, lotte, 'founding', 'Queen alone in the dark until the first workers.'))
  tell(of('western-hognose')[1], held(9, kelechi, 'gravid', 'Follicles felt. Nest box in.'))
}

/** Mites that came with one untreated handful of leaves; a frog in its bowl; new eggs. */
function lookedAt({ of, tell, people: { lotte = '', priya = '' } }: Telling): void {
  for (const culture of of('powder-isopod').slice(-2)) {
    tell(
      culture,
      observed(
        11,
        lotte,
        'act',
        'Grain mites under the lid. Traced to the leaf litter of the second: that handful was not frozen.',
      ),
      noted(3, lotte, 'Third pass: 40 caught, fewer than last time. Keep dry at the lid end.'),
    )
  }
  tell(
    of('green-tree-frog')[3],
    noted(
      1,
      priya,
      'Sat in the bowl all evening. Is the water warm enough? Please look at the probe tonight.',
    ),
  )
  tell(of('leaf-insect')[0], noted(1, lotte, 'Two new eggs on the paper, put by with the date.'))
}

/** A culture counted before its floor was put aside, a nymph that is missing, a meal by two people. */
function countedAndKept(
  { of, tell, people: { lotte = '', priya = '' } }: Telling,
  newLot: () => string,
): void {
  const cleanedOut = (whose: HouseResident | undefined, daysAgo: number, place: string) =>
    tell(whose, {
      daysAgo,
      who: lotte,
      subject: newLot(),
      say: { kind: 'floorKept', payload: { of: whose?.id ?? '', at: place, litres: 6 } },
    })
  const counted = (daysAgo: number, who: string, count: number, expected: number): Beat => ({
    daysAgo,
    who,
    say: { kind: 'counted', payload: { count, expected } },
  })
  tell(of('zebra-isopod')[2], counted(60, lotte, 210, 205))
  cleanedOut(of('zebra-isopod')[2], 60, 'Culture rack, lowest shelf')
  cleanedOut(of('giant-millipede')[0], 21, 'Under the floor tanks')
  tell(of('jungle-nymph')[0], counted(5, priya, 10, 11))
  tell(of('owl-butterfly', 'caterpillars')[0], {
    daysAgo: 0,
    after: 14,
    who: priya,
    say: { kind: 'fed', payload: { item: 'banana leaf', count: 2, outcome: 'taken' } },
  })
}

/** A handful of matters that a real house has on any day. */
export function storiesOf(
  residents: readonly HouseResident[],
  today: number,
  people: People,
  newLot: () => string,
): Stories {
  const stories = new Map<string, Beat[]>()
  const telling: Telling = {
    of: (sheet, stage) =>
      residents.filter(
        (resident) => resident.sheet === sheet && (stage === undefined || resident.stage === stage),
      ),
    tell(resident, ...beats) {
      if (resident) stories.set(resident.id, [...(stories.get(resident.id) ?? []), ...beats])
    },
    today,
    people,
  }
  inCare(telling)
  resting(telling)
  lookedAt(telling)
  countedAndKept(telling, newLot)
  return stories
}

/** Some grew out of a box that now stands empty and ready for the next. */
export function movesOf(
  { residents, enclosures }: { residents: readonly HouseResident[] } & Pick<SiteSeed, 'enclosures'>,
  homes: ReadonlyMap<string, string>,
  { kelechi = '', lotte = '' }: People,
): { moves: Stories; formerHomes: Map<string, string> } {
  const taken = new Set(homes.values())
  const free = enclosures.filter(({ id }) => !taken.has(id))
  const grew = ['leopard-gecko', 'fire-salamander', 'curly-hair'].flatMap(
    (sheet) => residents.find((resident) => resident.sheet === sheet) ?? [],
  )
  const moves = new Map<string, Beat[]>()
  const formerHomes = new Map<string, string>()
  for (const [index, { id }] of grew.entries()) {
    const [former, to] = [free[index]?.id, homes.get(id)]
    if (former === undefined || to === undefined) continue
    formerHomes.set(id, former)
    const why = 'Grew out of the smaller box.'
    moves.set(id, [
      {
        daysAgo: 70 + index * 55,
        who: index === 1 ? kelechi : lotte,
        say: { kind: 'moved', payload: { to, why } },
      },
    ])
  }
  return { moves, formerHomes }
}

export function tellStories(stories: Stories, today: number): (kept: Kept, day: KeeperDay) => void {
  return (kept, day) => {
    for (const { daysAgo, who, say, after = 1, subject = kept.residentId } of stories.get(kept.residentId) ??
      []) {
      if (today - daysAgo !== day.day) continue
      record(kept, { subject, ...say } as Draft, who, day.at(day.minute + after) + 33_000, day)
    }
  }
}
