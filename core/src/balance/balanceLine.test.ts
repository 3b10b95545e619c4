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
    ['1 234,5 g', 1234.5, 0.1],
    ['1,234 g', 1234, 1],
    ['12,345 g', 12_345, 1],
    ['1,234.5 g', 1234.5, 0.1],
    ['1.234,5 g', 1234.5, 0.1],
    ['1.234 g', 1.234, 0.001],
    ['0,234 g', 0.234, 0.001],
    ['1,234 kg', 1234, 1],
    ['42,13 g', 42.13, 0.01],
    ['1 lb 3.5 oz', 552.8156, 2.83495],
    ['-2 lb 0 oz', -907.18474, 28.34952],
    ['ST,GS,12.34kg', 12_340, 10],
    ['ST,NT,-  0,021 kg', -21, 1],
    ['No 7 1 612 g', 1612, 1],
  ])('%s is a weight in grams, with its step', (line, grams, step) => {
    const read = readBalanceLine(line)
    expect(read?.grams).toBeCloseTo(grams, 3)
    expect(read?.step).toBeCloseTo(step, 5)
  })

  it.each([
    ['US,GS,12.34kg', true],
    ['42.1 g unstable', true],
    ['42.1 g ?', true],
    ['ST,GS,12.34kg', undefined],
    ['dust 42.1 g', undefined],
  ])('%s says itself whether it is at rest', (line, unstable) => {
    expect(readBalanceLine(line)?.unstable).toBe(unstable)
  })

  it.each(['', 'tare', 'overload', '42.13', '42 gizmos', 'g', '- g'])('"%s" is none', (line) => {
    expect(readBalanceLine(line)).toBeNull()
  })
})
