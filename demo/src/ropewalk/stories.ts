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
  /** Minutes after the resident's turn on the round. */
  after?: number
}

export type Stories = ReadonlyMap<string, readonly Beat[]>

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

/** A handful of matters that a real house has on any day: a rescue brought in thin, mites that came
 * with one untreated handful of leaves, a course at the vet's word, winter rest, a gravid snake. */
export function storiesOf(
  residents: readonly HouseResident[],
  today: number,
  people: People,
  newLot: () => string,
): Stories {
  const { maren = '', kelechi = '', tomas = '', lotte = '', ines = '', priya = '' } = people
  const of = (sheet: string, stage?: string) =>
    residents.filter(
      (resident) => resident.sheet === sheet && (stage === undefined || resident.stage === stage),
    )
  const stories = new Map<string, Beat[]>()
  const tell = (resident: HouseResident | undefined, ...beats: Beat[]) => {
    if (resident) stories.set(resident.id, [...(stories.get(resident.id) ?? []), ...beats])
  }

  const rescue = of('royal-python', 'adult').at(-1)
  tell(
    rescue,
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

  const [oldestTortoise, secondTortoise] = of('hermanns-tortoise')
  tell(
    oldestTortoise,
    held(24, maren, 'winterRest', 'Weight and faeces checked, fast begun two weeks before.', today + 60),
  )
  tell(
    secondTortoise,
    held(40, maren, 'winterRest', 'Short rest, to be weighed and looked at after six weeks.', today - 2),
  )

  for (const founding of of('harvester-ant', 'founding').slice(0, 4)) {
    tell(founding, held(30, lotte, 'founding', 'Queen alone in the dark until the first workers.'))
  }

  const tent = of('powder-isopod').slice(-2)
  for (const culture of tent) {
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
    of('western-hognose').at(-1),
    held(6, ines, 'vetOrder', 'No food until the recheck.', today + 1),
    observed(6, ines, 'watch', 'Mouth looked at. Recheck in a week.'),
  )
  tell(of('western-hognose')[1], held(9, kelechi, 'gravid', 'Follicles felt. Nest box in.'))
  tell(of('leopard-gecko').at(-3), observed(2, priya, 'watch', 'Favours the left hind foot when it turns.'))
  tell(
    of('green-tree-frog')[3],
    noted(
      1,
      priya,
      'Sat in the bowl all evening. Is the water warm enough? Please look at the probe tonight.',
    ),
  )
  tell(of('leaf-insect')[0], noted(1, lotte, 'Two new eggs on the paper, put by with the date.'))
  tell(of('royal-python', 'adult')[2], scored(6, kelechi, 4.5))
  tell(of('hermanns-tortoise')[2], scored(4, ines, 3))
  const cleanedOut = (of: HouseResident | undefined, daysAgo: number, place: string) =>
    tell(of, {
      daysAgo,
      who: lotte,
      subject: newLot(),
      say: { kind: 'floorKept', payload: { of: of?.id ?? '', at: place, litres: 6 } },
    })
  tell(of('zebra-isopod')[2], {
    daysAgo: 60,
    who: lotte,
    say: { kind: 'counted', payload: { count: 210, expected: 205 } },
  })
  cleanedOut(of('zebra-isopod')[2], 60, 'Culture rack, lowest shelf')
  cleanedOut(of('giant-millipede')[0], 21, 'Under the floor tanks')
  tell(of('jungle-nymph')[0], {
    daysAgo: 5,
    who: priya,
    say: { kind: 'counted', payload: { count: 10, expected: 11 } },
  })
  const twice = of('owl-butterfly', 'caterpillars')[0]
  tell(twice, {
    daysAgo: 0,
    after: 14,
    who: priya,
    say: { kind: 'fed', payload: { item: 'banana leaf', count: 2, outcome: 'taken' } },
  })
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
