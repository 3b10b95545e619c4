import type { Computation } from '@kobrin/core'
import { computations } from '@kobrin/core'
import { describe, expect, it } from 'vitest'
import { answer, answerLine, BadInput } from './compute.ts'

function named(name: string): Computation {
  const found = computations.find((computation) => computation.name === name)
  if (!found) throw new Error(`No computation ${name}.`)
  return found
}

const walkComputation = named('walk')
const place = { room: 'Tar Room', roomOrder: 1, bay: 'Bay 1', bayOrder: 1, row: 0, column: 0, barrier: 1 }
const plan = {
  sheet: 'gecko',
  stage: 'adult',
  duties: [
    {
      id: 'water',
      does: 'water',
      cadence: { type: 'every', days: 1 },
      people: 1,
      minutes: 1,
      source: { from: 'sheet', sheet: 'gecko', stage: 'adult' },
    },
  ],
  holds: [],
  weighing: { r: 0.03, q: 1e-7 },
}
const input = { day: 20_500, residents: [{ id: 'tamsin', plan, entries: [], place }] }

describe('answering', () => {
  it('answers JSON with JSON that its own schema accepts', () => {
    const told: unknown = JSON.parse(answer(walkComputation, JSON.stringify(input)))
    expect(walkComputation.output.safeParse(told).error).toBeUndefined()
    expect(told).toMatchObject({
      stops: [{ room: 'Tar Room', tasks: [{ resident: 'tamsin', duty: 'water', status: 'due' }] }],
    })
  })

  it.each([
    ['{', /not JSON/],
    [JSON.stringify({ ...input, day: 'Tuesday' }), /^day: /],
    [
      JSON.stringify({ ...input, residents: [{ ...input.residents[0], place: {} }] }),
      /^residents\.0\.place\./,
    ],
    [JSON.stringify({ ...input, moon: 'full' }), /moon/],
  ])('names what is wrong in %s', (text, message) => {
    expect(() => answer(walkComputation, text)).toThrow(BadInput)
    expect(() => answer(walkComputation, text)).toThrow(message)
  })

  it('turns what is wrong with a line into that line’s answer', () => {
    expect(JSON.parse(answerLine(walkComputation, '{'))).toMatchObject({
      error: expect.stringMatching(/JSON/) as string,
    })
  })

  it('knows every computation by a name of its own', () => {
    const names = computations.map(({ name }) => name)
    expect(new Set(names).size).toBe(names.length)
    expect(names).toContain('walk')
  })
})
