import type { House, KnownResident } from './house.ts'
import { plain } from './house.ts'
import type { Cell, RowReading } from './rowReading.ts'

function listed<T>(map: Map<string, T[]>, key: string, one: T): void {
  map.set(key, [...(map.get(key) ?? []), one])
}

/** Everybody a row may speak of, by number, by name and by place; and the boxes that are free. */
export class WhoIsWho {
  private readonly byNumber = new Map<string, KnownResident>()
  private readonly byName = new Map<string, KnownResident[]>()
  private readonly byPlace = new Map<string, KnownResident[]>()
  private readonly boxes: ReadonlyMap<string, House['boxes'][number]>
  private readonly taken: Set<string>

  private readonly house: House

  constructor(house: House) {
    this.house = house
    this.boxes = new Map(house.boxes.map((box) => [plain(box.name), box]))
    this.taken = new Set(house.boxes.filter((box) => box.taken).map(({ id }) => id))
    for (const one of house.residents) this.know(one)
  }

  know(one: KnownResident): void {
    if (one.number !== '') this.byNumber.set(plain(one.number), one)
    listed(this.byName, plain(one.name), one)
    if (one.place === null) return
    listed(this.byPlace, one.place, one)
    this.taken.add(one.place)
  }

  /** The one a row speaks of: by its number, else by its name, else the one that lives alone in the place it names.
   * Undefined where it is somebody new, or where nobody can tell, with what is wrong. */
  of(reading: RowReading, sheet: string | undefined): KnownResident | undefined {
    const { number, name, place, species } = reading.cells
    const numbered = number && this.byNumber.get(plain(number.text))
    if (numbered) return this.numbered(numbered, reading)
    if (name && !number) {
      const called = this.byName.get(plain(name.text)) ?? []
      // One of that name and another species is somebody else.
      const named = sheet === undefined ? called : called.filter((one) => one.sheet === sheet)
      if (named.length > 1)
        reading.wrong(name.at, { code: 'twoOfThatName', said: name.text, count: named.length })
      if (named.length > 0) return named[0]
    }
    const alone = !number && !name && place ? this.aloneIn(place) : undefined
    if (alone || species) return alone
    const cell = number ?? name ?? place
    reading.wrong(cell?.at, cell ? { code: 'nobody', said: cell.text } : { code: 'saysNoWho' })
    return undefined
  }

  /** A newcomer with a number that another one has is no newcomer. */
  private numbered(one: KnownResident, reading: RowReading): KnownResident {
    const { number, name, species } = reading.cells
    if (number && name && species && plain(one.name) !== plain(name.text))
      reading.wrong(number.at, { code: 'numberTaken', said: number.text, by: one.name })
    return one
  }

  private aloneIn(place: Cell): KnownResident | undefined {
    const box = this.boxes.get(plain(place.text))
    const there = box ? (this.byPlace.get(box.id) ?? []) : []
    return there.length === 1 ? there[0] : undefined
  }

  /** The box of that name, or the next empty one in the room or bay of that name; empty where there is none. */
  boxFor(reading: RowReading): string {
    const { place } = reading.cells
    if (!place) {
      reading.wrong(null, { code: 'noPlace' })
      return ''
    }
    const wanted = plain(place.text)
    const exact = this.boxes.get(wanted)
    if (exact && !this.taken.has(exact.id)) return exact.id
    const within = this.house.boxes.filter(({ name }) => {
      const whole = plain(name)
      return whole.startsWith(`${wanted} · `) || whole.split(' · ').includes(wanted)
    })
    const free = within.find(({ id }) => !this.taken.has(id))
    if (free) return free.id
    const code = exact || within.length > 0 ? 'placeTaken' : 'unknownPlace'
    reading.wrong(place.at, { code, said: place.text })
    return ''
  }
}
