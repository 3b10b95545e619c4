import type { Entry, Sheet } from '@kobrin/core'
import { isInSeason } from '@kobrin/core'
import type { Chance } from '../chance.ts'
import type { TroubleKind } from '../husbandry/trouble.ts'
import { createChance } from '../chance.ts'
import type { Body } from './body.ts'
import { liveADay, weightShown } from './body.ts'
import type { Ways } from './ways.ts'

export type Way = 'lays' | 'laysUnseen' | 'seasonFast' | 'moves' | 'moody'
export type Matter = TroubleKind | Way | null

/** One animal in a house that keeps its records in its own way. */
export interface OtherLife {
  sheet: Sheet
  stage: string
  sex: 'male' | 'female'
  hatchedOn: number
  entries: Entry[]
  trouble: { kind: Exclude<Matter, null>; from: number } | null
  slips: { uid: string; day: number }[]
  /** Signed changes of its stage. */
  stages: { day: number; stage: string }[]
  firstDay: number
  lastDay: number
  grown: boolean
}

export interface OtherLivesOptions {
  sheets: readonly Sheet[]
  house: Ways
  firstDay: number
  days: number
  seed: number
  /** Lives told of each matter. */
  each: number
  matters: readonly Matter[]
}

const KEEPER = '00000000-0000-7000-8000-0000000000b2'
const BOX = '00000000-0000-7000-8000-0000000000c3'
const DAY_MS = 86_400_000

function middle([low, high]: readonly [number, number]): number {
  return Math.sqrt(low * high)
}

/** Days before the skin comes off in which most will not eat. */
function signDaysOf({ group, ecdysis }: Sheet): number {
  if (ecdysis?.what === 'molt') return 22
  return group === 'snake' ? 8 : group === 'lizard' ? 4 : 1
}

/** One life while it is lived. */
class Living {
  readonly body: Body
  readonly life: OtherLife
  readonly #ways: Ways
  readonly #chance: Chance
  readonly #feedEvery: number
  readonly #subject: string
  #ateOn: number
  #offerOn: number
  #weighOn: number
  #skin: { every: number; signDays: number; what: 'shed' | 'molt' } | null = null
  #skinOn = Infinity
  #signSaid = false
  readonly #aWeek: number
  #offFood = 0
  #leftOpen = false

  constructor(life: OtherLife, ways: Ways, chance: Chance) {
    this.life = life
    this.#ways = ways
    this.#chance = chance
    const { sheet, stage, firstDay } = life
    this.#subject = chance.uid(firstDay * DAY_MS)
    this.#aWeek = chance.between(0.012, 0.03)
    const stages = sheet.stages
    const feed = stages.find(({ id }) => id === stage)?.duties.find(({ does }) => does === 'feed')
    this.#feedEvery = feed?.cadence.type === 'every' ? feed.cadence.days : 3
    const heavy = middle(sheet.adult?.grams ?? [50, 50]) * Math.exp(chance.normal(0, 0.08))
    const least = stages.find(({ id }) => id === stage)?.plausible?.grams?.[0] ?? 1
    const thin = chance.happens(ways.thin)
    const begins = life.grown ? heavy * chance.between(0.85, 1) : Math.max(least * 1.6, heavy * 0.05)
    this.body = {
      law: ways.growth,
      grown: heavy,
      days: middle(sheet.growth?.adultDays ?? [400, 900]),
      grams: begins * (thin ? 0.8 : 1),
      gut: 0,
      reserve: 0,
    }
    this.#ateOn = firstDay - 1
    this.#offerOn = firstDay + 2
    this.#weighOn = firstDay + chance.whole(0, 3)
    const between = sheet.ecdysis?.days[stage]
    if (sheet.ecdysis && between) {
      const every = middle(between) * Math.exp(chance.normal(0, 0.08))
      const { what } = sheet.ecdysis
      this.#skin = { every, what, signDays: Math.min(every / 3, signDaysOf(sheet)) }
      this.#skinOn = firstDay + Math.round(every * chance.between(0.2, 1))
    }
  }

  has(day: number, ...kinds: Matter[]): boolean {
    const { trouble } = this.life
    return trouble !== null && day >= trouble.from && kinds.includes(trouble.kind)
  }

  say(day: number, kind: Entry['kind'], payload: object, minute = 540): string {
    const ms = day * DAY_MS + minute * 60_000
    const uid = this.#chance.uid(ms)
    const entry = { subject: this.#subject, kind, payload, uid, day, author: KEEPER }
    this.life.entries.push({ ...entry, occurredAt: new Date(ms).toISOString() } as Entry)
    return uid
  }

  #closed(day: number): boolean {
    const stays = this.has(day, 'signStays')
    return this.#skin !== null && day >= this.#skinOn - this.#skin.signDays && (stays || day < this.#skinOn)
  }

  #fasts(day: number): boolean {
    const { sheet, sex, trouble } = this.life
    if (trouble?.kind === 'laysUnseen' || trouble?.kind === 'lays') {
      const since = day - trouble.from
      return since > 15 && since < 40
    }
    return (
      this.has(day, 'seasonFast') &&
      (sheet.fasts ?? []).some((fast) => (!fast.sex || fast.sex === sex) && isInSeason(fast.season, day))
    )
  }

  #eats(day: number): boolean {
    const chance = this.#chance
    if (this.has(day, 'gone')) return false
    if (this.has(day, 'offFood') || this.#fasts(day)) return chance.happens(0.03)
    if (this.#closed(day)) return chance.happens(0.15)
    if (this.#offFood > 0) {
      this.#offFood -= 1
      return false
    }
    if (chance.happens(this.life.trouble?.kind === 'moody' ? 0.06 : 0.01)) this.#offFood = chance.whole(1, 3)
    return chance.happens(this.has(day, 'wasting') ? 0.75 : 0.94)
  }

  feed(day: number): void {
    const chance = this.#chance
    if (this.#leftOpen) {
      this.#leftOpen = false
      this.say(day, 'bowl', { found: this.#ateOn === day - 1 ? 'empty' : 'full' }, 500)
    }
    if (day < this.#offerOn) return
    this.#offerOn = day + Math.max(1, Math.round(this.#feedEvery * chance.between(0.9, 1.2)))
    const takes = this.#eats(day)
    if (takes) {
      this.#ateOn = day
      this.body.gut += this.body.grams * this.#ways.gut.share * chance.between(0.6, 1.2)
    } else this.#offerOn = Math.min(this.#offerOn, day + Math.max(2, Math.round(this.#feedEvery * 0.7)))
    this.#leftOpen = this.#ways.leaves || this.has(day, 'gone')
    const outcome = this.#leftOpen ? 'left' : takes ? 'taken' : 'refused'
    this.say(day, 'fed', { item: 'food', outcome }, 1080)
  }

  weigh(day: number): void {
    const { weighEvery, weighs, slips, step } = this.#ways
    const chance = this.#chance
    if (day < this.#weighOn) return
    this.#weighOn = day + Math.max(1, Math.round(weighEvery * chance.between(0.8, 1.2)))
    const untouched = this.#closed(day) || this.has(day, 'gone')
    if (untouched || !chance.happens(weighs) || this.body.grams < step * 15) return
    const shown = weightShown(this.body, this.#ways, chance)
    const slips10 = chance.happens(slips)
    const grams = slips10 ? shown * (chance.happens(0.5) ? 10 : 0.1) : shown
    const uid = this.say(day, 'weighed', { grams: Number(grams.toFixed(3)) }, 600)
    if (slips10) this.life.slips.push({ uid, day })
  }

  shed(day: number): void {
    const { sheds, signs, hardens } = this.#ways
    const chance = this.#chance
    if (!this.#skin || this.has(day, 'gone')) return
    const { every, what } = this.#skin
    const again = this.has(day, 'signStays') && chance.happens(0.1)
    const asked = !this.#signSaid && chance.happens(0.5)
    if ((asked || again) && this.#closed(day) && !this.has(day, 'stuckInSkin')) {
      this.#signSaid = true
      if (chance.happens(signs)) this.say(day, 'ecdysis', { stage: what === 'shed' ? 'inBlue' : 'premolt' })
    }
    if (day < this.#skinOn || this.has(day, 'stuckInSkin', 'signStays')) return
    this.#signSaid = false
    this.#skinOn = day + Math.round(every * Math.exp(chance.normal(0, 0.12)))
    if (chance.happens(sheds)) {
      this.say(day, 'ecdysis', { stage: what === 'shed' ? 'shed' : 'molted', how: 'whole' })
      if (what === 'molt' && chance.happens(hardens)) this.say(day + 9, 'ecdysis', { stage: 'hardened' })
    }
  }

  look(day: number): void {
    const { looks, scoreEvery } = this.#ways
    const chance = this.#chance
    if (chance.happens(looks))
      this.say(day, 'looked', { seen: !this.has(day, 'gone') && chance.happens(0.93) })
    if (scoreEvery === null || this.has(day, 'gone') || !chance.happens(1 / scoreEvery)) return
    const fat = this.has(day, 'overfed') ? Math.min(2, (day - (this.life.trouble?.from ?? day)) / 70) : 0
    const thin = this.has(day, 'wasting') ? -Math.min(1.5, (day - (this.life.trouble?.from ?? day)) / 60) : 0
    const score = Math.round((3 + fat + thin + chance.normal(0, 0.25)) * 2) / 2
    this.say(day, 'condition', { score: Math.min(5, Math.max(1, score)) })
  }

  /** What its keepers say of a clutch or a move, and what these do to the body. */
  #itsWay(day: number): number {
    const { trouble } = this.life
    const since = trouble ? day - trouble.from : -1
    if (trouble?.kind === 'moves' && since === 0) {
      this.say(day, 'moved', { to: BOX, why: 'A larger box.' })
      this.#offFood = 3
    }
    if (trouble?.kind !== 'lays' && trouble?.kind !== 'laysUnseen') return 0
    if (trouble.kind === 'lays' && since === 12) this.say(day, 'held', { hold: 'gravid', reason: 'Felt.' })
    if (since === 42) {
      if (trouble.kind === 'lays') this.say(day, 'released', { hold: 'gravid', reason: 'Laid.' })
      return Math.log(0.8)
    }
    return since >= 0 && since < 42 ? Math.log(1.15) / 42 : 0
  }

  /** Signed on to the next stage once it is heavy enough for it. */
  grow(day: number): void {
    const { sheet, stages, stage } = this.life
    const now = sheet.stages.findIndex(({ id }) => id === (stages.at(-1)?.stage ?? stage))
    const until = sheet.stages[now]?.until?.grams
    const next = sheet.stages[now + 1]
    if (next && until !== undefined && this.body.grams > until * 1.1) stages.push({ day, stage: next.id })
  }

  live(day: number): void {
    const { grown } = this.life
    let drift = this.#itsWay(day)
    if (this.has(day, 'wasting')) drift -= this.#aWeek / 7
    if (this.has(day, 'offFood')) drift -= 0.0006
    if (this.has(day, 'overfed') && grown && this.body.grams < this.body.grown * 1.5) drift += 0.016 / 7
    const growsBy = this.has(day, 'stunted', 'wasting') ? 0 : this.has(day, 'overfed') ? 2.6 : 1
    const hungry = (day - this.#ateOn) / this.#feedEvery
    liveADay(this.body, this.#ways, { hungry, drift, growsBy }, this.#chance)
  }
}

/** Told after later ones, as lists are that somebody copies in the evening. */
function shuffled(entries: readonly Entry[], late: number, chance: Chance): Entry[] {
  return entries
    .map((entry, at) => ({ entry, at: at + (chance.happens(late) ? chance.whole(3, 40) : 0) }))
    .sort((a, b) => a.at - b.at)
    .map(({ entry }) => entry)
}

function liveOne(life: OtherLife, ways: Ways, chance: Chance): OtherLife {
  const living = new Living(life, ways, chance)
  living.say(life.firstDay, 'arrived', { enclosure: BOX }, 400)
  for (let day = life.firstDay; day <= life.lastDay; day += 1) {
    living.shed(day)
    living.look(day)
    living.weigh(day)
    living.feed(day)
    living.live(day)
    living.grow(day)
  }
  const told = life.entries.filter(({ day }) => day <= life.lastDay)
  return { ...life, entries: shuffled(told, ways.late, chance) }
}

/** When it begins: settled in before, and with time to be noticed. One that stands still has growing to do. */
function beginsOn(kind: Matter, { firstDay, days }: OtherLivesOptions, sheet: Sheet, chance: Chance): number {
  const growsUp = sheet.growth?.adultDays[0] ?? days
  const latest = kind === 'stunted' ? Math.min(days - 200, growsUp * 0.45) : days - 170
  return firstDay + chance.whole(Math.round(Math.min(150, latest / 2)), Math.round(latest))
}

const OF_THE_YOUNG: readonly Matter[] = ['stunted']
const OF_THE_GROWN: readonly Matter[] = ['lays', 'laysUnseen', 'seasonFast']

/** Single animals of the sheets that say how large they grow, as one house has them on record. */
export function* otherLives(options: OtherLivesOptions): Generator<OtherLife> {
  const chance = createChance(options.seed)
  const { firstDay, days, house } = options
  const sheets = options.sheets.filter(
    ({ lives, adult, growth }) =>
      lives === 'individual' && adult?.grams !== undefined && growth !== undefined,
  )
  for (const kind of options.matters)
    for (let one = 0; one < options.each; one += 1) {
      const sheet = chance.pick(sheets)
      const young = OF_THE_YOUNG.includes(kind) || (!OF_THE_GROWN.includes(kind) && chance.happens(0.4))
      const stage = young ? sheet.stages[0] : sheet.stages.at(-1)
      if (!stage || stage.plausible?.grams === undefined) continue
      const grown = !young || sheet.stages.length === 1
      const trouble = kind && { kind, from: beginsOn(kind, options, sheet, chance) }
      const age = grown ? Math.round((sheet.growth?.adultDays[1] ?? 1000) * 1.4) : chance.whole(20, 60)
      const life: OtherLife = {
        sheet,
        stage: stage.id,
        sex: OF_THE_GROWN.includes(kind) ? 'female' : chance.pick(['male', 'female']),
        hatchedOn: firstDay - age,
        entries: [],
        trouble,
        slips: [],
        stages: [],
        firstDay,
        lastDay: firstDay + days - 1,
        grown,
      }
      yield liveOne(life, house, chance)
    }
}
