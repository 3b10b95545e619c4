import type { Description, Origin } from '@kobrin/core'

/** What somebody is told by, as it is typed. */
export interface Described {
  origin: Origin | ''
  marks: string
  chip: string
  pale: boolean
}

export function describedAs({ origin, marks = '', chip = '', pale = false }: Description): Described {
  return { origin: origin ?? '', marks, chip, pale }
}

/** What is said now and was not said before: what was not touched is not said again. */
export function newlySaid(form: Described, before: Described): Description {
  const { origin, pale } = form
  const [marks, chip] = [form.marks.trim(), form.chip.trim()]
  return {
    ...(origin && origin !== before.origin && { origin }),
    ...(marks && marks !== before.marks && { marks }),
    ...(chip && chip !== before.chip && { chip }),
    ...(pale !== before.pale && { pale }),
  }
}

/** Words that stood there and were taken away: what was said is said otherwise, not unsaid. */
export function emptied(form: Described, before: Described): ('marks' | 'chip')[] {
  return (['marks', 'chip'] as const).filter((field) => before[field] !== '' && form[field].trim() === '')
}
