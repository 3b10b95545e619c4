import type { House } from './house.ts'
import { listed, plain } from './house.ts'

type Box = House['boxes'][number]

/** Words for one animal's place in a bay, which people use for each other. */
const SAME_AS_PLACE =
  /^(?:tub|box|drawer|slot|tank|cage|viv|vivarium|terrarium|terr|enclosure|container|jar|cup|pos|position|no|nr|place|t|b|p)$/u

/** A place as it is compared: words and numbers one by one, "R2-T3" as r 2 place 3. */
function partsOf(text: string): string[] {
  return (
    plain(text)
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .match(/\p{L}+|\d+/gu) ?? []
  )
    .map((part) => (SAME_AS_PLACE.test(part) ? 'place' : /^\d+$/u.test(part) ? String(Number(part)) : part))
    .filter((part, at, all) => part !== 'place' || /^\d+$/u.test(all[at + 1] ?? ''))
}

function isAlike(said: string, part: string): boolean {
  if (said === part) return true
  // "R2" for "Rack 2", "sh 1" for "shelf 1".
  return said.length <= 2 && /^\p{L}/u.test(said) && part.startsWith(said)
}

/** Whether all of what was said stands in a name, in its order. */
function standsIn(said: readonly string[], parts: readonly string[]): boolean {
  let at = 0
  for (const part of parts) {
    const wanted = said[at]
    if (wanted === undefined) break
    // A number belongs to the word before it: "rack 2" is no "rack 1, place 2".
    const isNumber = /^\d+$/u.test(wanted)
    if (isAlike(wanted, part)) at += 1
    else if (isNumber && at > 0 && /^\d+$/u.test(part)) at -= 1
  }
  return at === said.length
}

/** Boxes that a text may mean, and whether it means them all: a room or a bay, or the one of that name. */
export interface BoxesMeant {
  boxes: readonly Box[]
  sure: boolean
}

function bayOf({ name }: Box): string {
  return name.split(' · ').slice(0, -1).join(' · ')
}

/** Finds the boxes that what somebody wrote may mean: the one of exactly that name, those of the room or bay of that name,
 * else those in whose name all of it stands, "R2 tub 3". What was asked once is not looked for again. */
export function boxesLike(boxes: readonly Box[]): (text: string) => BoxesMeant {
  const byName = new Map(boxes.map((box) => [plain(box.name), box]))
  const within = new Map<string, Box[]>()
  const found = new Map<string, BoxesMeant>()
  for (const box of boxes) {
    const names = plain(box.name).split(' · ')
    const inside = new Set(names)
    names.forEach((_, at) => inside.add(names.slice(0, at + 1).join(' · ')))
    for (const name of inside) listed(within, name, box)
  }
  const parts = new Map(boxes.map((box) => [box.id, partsOf(box.name)]))
  const bays = new Map<string, Box[]>()
  for (const box of boxes) listed(bays, bayOf(box), box)
  const alike = (text: string): BoxesMeant => {
    const wanted = partsOf(text)
    if (wanted.length === 0) return { boxes: [], sure: false }
    const named = [...bays].filter(([bay]) => bay !== '' && standsIn(wanted, partsOf(bay)))
    const [only] = named
    if (only && named.length === 1) return { boxes: only[1], sure: true }
    const boxed = boxes.filter(({ id }) => standsIn(wanted, parts.get(id) ?? []))
    return { boxes: boxed, sure: boxed.length === 1 }
  }
  return (text) => {
    const said = plain(text)
    const known = found.get(said)
    if (known) return known
    const exact = byName.get(said)
    const inside = within.get(said)
    const meant = exact
      ? { boxes: [exact], sure: true }
      : inside
        ? { boxes: inside, sure: true }
        : alike(text)
    found.set(said, meant)
    return meant
  }
}
