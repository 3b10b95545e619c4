import { describe, expect, it } from 'vitest'
import { readBalanceLine } from './balanceLine.ts'

describe('a line of a balance', () => {
  it.each([
    ['42.13 g', 42.13, 0.01],
    ['   +   42.1 g  ', 42.1, 0.1],
    ['still,-0,3 g\r', -0.3, 0.1],
    ['N 0001612 g', 1612, 1],
    ['1.6125 kg', 1612.5, 0.1],
    ['reading 3: 850mg', 0.85, 0.001],
    ['1.500 oz', 42.5243, 0.02835],
  ])('%s is a weight in grams, with its step', (line, grams, step) => {
    const read = readBalanceLine(line)
    expect(read?.grams).toBeCloseTo(grams, 3)
    expect(read?.step).toBeCloseTo(step, 5)
  })

  it.each(['', 'tare', 'overload', '42.13', '42 gizmos', 'g', '- g'])('"%s" is none', (line) => {
    expect(readBalanceLine(line)).toBeNull()
  })
})
