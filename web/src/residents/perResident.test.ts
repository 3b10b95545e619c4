import { describe, expect, it } from 'vitest'
import { shallowReactive } from 'vue'
import { perResident } from './perResident.ts'

describe('something about each resident', () => {
  it('is worked out once, and again only for whom it changed', () => {
    const grams = shallowReactive(
      new Map([
        ['ada', 60],
        ['ben', 70],
      ]),
    )
    const asked: string[] = []
    const saidOf = perResident((id) => {
      asked.push(id)
      return `${grams.get(id) ?? 0} g`
    })
    expect([saidOf('ada'), saidOf('ben'), saidOf('ada')]).toEqual(['60 g', '70 g', '60 g'])
    grams.set('ada', 61)
    expect([saidOf('ada'), saidOf('ben')]).toEqual(['61 g', '70 g'])
    expect(asked).toEqual(['ada', 'ben', 'ada'])
  })
})
