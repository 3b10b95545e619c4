import type { Sheet } from '../plans/sheet/sheet.ts'
import type { Stage, StageEnd } from '../plans/sheet/stage.ts'
import { plain } from './house.ts'
import { readMany } from './cells/manyWritten.ts'
import { LENGTH_UNITS, MASS_UNITS } from './columns/meaning.ts'
import { quantityBeside } from './cells/quantityBeside.ts'
import type { Cell, RowReading } from './rowReading.ts'

/** Stages as people write them, and the words by which sheets begin the name of such a stage. A word that says less than
 * the stages of a sheet tell apart, as "young" of a spider does, stands for none. */
const WRITTEN: readonly { said: readonly string[]; means: readonly string[] }[] = [
  {
    said: ['adult', 'adults', 'ad', 'a', 'grown', 'mature', 'full grown', 'fully grown', 'breeder'],
    means: ['adult', 'grown'],
  },
  {
    said: ['juvenile', 'juveniles', 'juv', 'juvi', 'j'],
    means: ['juvenile', 'young', 'froglet', 'froglets', 'toadlets', 'nymph'],
  },
  { said: ['subadult', 'sub adult', 'sub-adult', 'sa'], means: ['subadult'] },
  { said: ['hatchling', 'hatchlings', 'baby', 'neonate', 'neo', 'newborn'], means: ['hatchling', 'newborn'] },
  { said: ['sling', 'slings', 'spiderling', 'spiderlings'], means: ['spiderling'] },
  { said: ['tadpole', 'tad', 'tads'], means: ['tadpoles'] },
  { said: ['larvae', 'larva'], means: ['larva'] },
  { said: ['caterpillar', 'larva', 'larvae'], means: ['caterpillars'] },
  { said: ['nymph', 'nymphs'], means: ['nymphs'] },
  { said: ['young'], means: ['young'] },
]

/** The stage of a sheet that a word means; undefined where it means none, or more than one. */
export function stageNamed(sheet: Sheet, text: string): Stage | undefined {
  const said = plain(text)
  const exact = sheet.stages.find(({ id, name }) => plain(id) === said || plain(name) === said)
  if (exact) return exact
  const means = WRITTEN.flatMap((one) => (one.said.includes(said) ? one.means : []))
  const found = sheet.stages.filter(({ name }) => means.includes(plain(name).split(' ')[0] ?? ''))
  return found.length === 1 ? found[0] : undefined
}

const GROWN = /^(?:adult|grown|colony|group|mixed|culture|flying|moths|beetles)/iu

/** The stage in which it is grown. */
export function grownStage({ stages }: Sheet): Stage | undefined {
  return stages.findLast(({ id, name }) => GROWN.test(id) || GROWN.test(name))
}

/** What a row says of a body that stages go by. */
type Known = Partial<Record<keyof StageEnd, number>>

/** Whether a stage is over; null where nothing of what ends it is known. */
function isOver({ until = {} }: Stage, known: Known): boolean | null {
  const ends = Object.entries(until).flatMap(([trigger, needs]) => {
    const has = known[trigger as keyof StageEnd]
    return has === undefined || needs === undefined ? [] : [has >= needs]
  })
  return ends.length === 0 ? null : ends.some(Boolean)
}

/** The stage somebody is in by weight, size, age or number; undefined where what is known does not tell. */
export function stageTold({ stages }: Sheet, known: Known): Stage | undefined {
  for (const stage of stages) {
    if (stage === stages.at(-1)) return stage
    const over = isOver(stage, known)
    if (over === null) return undefined
    if (!over) return stage
  }
  return undefined
}

/** A number in a cell, whatever day stands beside it; undefined where there is none. */
function amountIn(
  cell: Cell | undefined,
  units: Readonly<Record<string, number>>,
  otherwise: string,
): number | undefined {
  if (!cell) return undefined
  const read = quantityBeside(cell.text, cell.column.decimal ?? null)
  if (!read) return undefined
  const factor = units[read.unit === '' ? otherwise : read.unit]
  return factor === undefined ? undefined : read.value * factor
}

function knownIn(reading: RowReading, hatchedOn: number | null): Known {
  const weight = reading.first('weight')
  const grams = amountIn(weight, MASS_UNITS, weight?.column.mass ?? 'g')
  const sizes = reading.all('size')
  const sized = (part: string) => {
    const cell = sizes.find(({ column }) => (column.part ?? 'length') === part)
    return amountIn(cell, LENGTH_UNITS, cell?.column.length ?? 'mm')
  }
  const [lengthMm, legSpanMm] = [sized('length'), sized('legSpan')]
  const count = reading.first('count')
  const many = count && readMany(count.text, count.column.decimal ?? null)
  return {
    ...(grams !== undefined && { grams }),
    ...(lengthMm !== undefined && { lengthMm }),
    ...(legSpanMm !== undefined && { legSpanMm }),
    ...(hatchedOn !== null && { ageDays: reading.context.house.now.day - hatchedOn }),
    ...(many && many !== 'unsure' && many.count !== null && { workers: many.count }),
  }
}

/** The stage a row says, or the only one there is, or as somebody answered for all rows without one; else it is asked. */
export function stageOf(sheet: Sheet, reading: RowReading, hatchedOn: number | null): string {
  const cell = reading.first('stage')
  const { answerTo, answers } = reading.context
  const answered = answerTo('stage', cell?.text ?? '', sheet.id)
  const text = answered ?? cell?.text ?? ''
  if (text !== '') {
    const named = stageNamed(sheet, text)
    if (!named) reading.wrong(cell ?? 'stage', { code: 'unknownStage', said: text, sheet: sheet.id })
    return named?.id ?? ''
  }
  const only = sheet.stages.length === 1 ? sheet.stages[0] : undefined
  const found =
    only ??
    answers.unstaged
      .map((by) => (by === 'grown' ? grownStage(sheet) : stageTold(sheet, knownIn(reading, hatchedOn))))
      .find((stage) => stage !== undefined)
  if (!found) reading.wrong('stage', { code: 'whichStage', sheet: sheet.id })
  return found?.id ?? ''
}
