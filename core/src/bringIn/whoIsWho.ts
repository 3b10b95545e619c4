import { boxesLike } from './boxesLike.ts'
import type { House, KnownResident } from './house.ts'
import { listed, plain } from './house.ts'
import type { Cell, Cells, RowReading } from './rowReading.ts'

const LIKELY_MOST = 12

/** Everybody a row may speak of, by number, by name and by place; and the boxes that are free. */
export class WhoIsWho {
  private readonly byNumber = new Map<string, KnownResident>()
  private readonly byName = new Map<string, KnownResident[]>()
  private readonly byPlace = new Map<string, KnownResident[]>()
  private readonly boxesOf: ReturnType<typeof boxesLike>
  private readonly taken: Set<string>
  /** How far into the boxes of a room or bay all are taken. */
  private readonly fullTo = new Map<readonly object[], number>()

  constructor(house: House) {
    this.boxesOf = boxesLike(house.boxes)
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
    const [number, name] = [reading.first('number'), reading.first('name')]
    const [place, species] = [reading.first('place'), reading.first('species')]
    const numbered = number && this.byNumber.get(plain(number.text))
    if (numbered) return this.numbered(numbered, reading)
    if (name && !number) {
      const called = this.byName.get(plain(name.text)) ?? []
      // One of that name and another species is somebody else.
      const named = sheet === undefined ? called : called.filter((one) => one.sheet === sheet)
      if (named.length > 1)
        reading.wrong(name, { code: 'twoOfThatName', said: name.text, count: named.length })
      if (named.length > 0) return named[0]
    }
    const alone = !number && !name && place ? this.aloneIn(place) : undefined
    if (alone || species) return alone
    const cell = number ?? name ?? place
    if (cell) reading.wrong(cell, { code: 'nobody', said: cell.text })
    else reading.wrong(null, { code: 'saysNoWho' })
    return undefined
  }

  /** A newcomer with a number that another one has is no newcomer. */
  private numbered(one: KnownResident, reading: RowReading): KnownResident {
    const [number, name, species] = [reading.first('number'), reading.first('name'), reading.first('species')]
    if (number && name && species && plain(one.name) !== plain(name.text))
      reading.wrong(number, { code: 'numberTaken', said: number.text, by: one.name })
    return one
  }

  private aloneIn(place: Cell): KnownResident | undefined {
    const { boxes } = this.boxesOf(place.text)
    const there = boxes.length === 1 ? (this.byPlace.get(boxes[0]?.id ?? '') ?? []) : []
    return there.length === 1 ? there[0] : undefined
  }

  /** The next empty one of some boxes. */
  private freeOf(boxes: readonly { id: string }[]): string | undefined {
    let at = this.fullTo.get(boxes) ?? 0
    while (at < boxes.length && this.taken.has(boxes[at]?.id ?? '')) at += 1
    this.fullTo.set(boxes, at)
    return boxes[at]?.id
  }

  /** Whether somebody of that number or name is on record. */
  isKnown(cells: Cells): boolean {
    const [number, name] = [cells.number?.[0], cells.name?.[0]]
    return (
      (number !== undefined && this.byNumber.has(plain(number.text))) ||
      (name !== undefined && this.byName.has(plain(name.text)))
    )
  }

  /** Whether it is the name of a room, a bay or a box. */
  namesPlace(text: string): boolean {
    return this.boxesOf(text).sure
  }

  /** The box of that name, or the next empty one in the room or bay of that name; empty where there is none, or where
   * nobody can tell which. */
  boxFor(reading: RowReading): string {
    const place = reading.first('place')
    const text = place?.text ?? reading.context.answerTo('place', '') ?? ''
    if (text === '') {
      reading.wrong('place', { code: 'noPlace' })
      return ''
    }
    const { boxes, sure } = this.boxesOf(text)
    const free = sure ? this.freeOf(boxes) : undefined
    if (free !== undefined) return free
    const isFull = boxes.length > 0 && this.freeOf(boxes) === undefined
    const likely = boxes.slice(0, LIKELY_MOST).map(({ name }) => name)
    reading.wrong(
      place ?? 'place',
      isFull ? { code: 'placeTaken', said: text } : { code: 'unknownPlace', said: text, likely },
    )
    return ''
  }
}
