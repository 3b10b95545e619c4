import { describe, expect, it } from 'vitest'
import { registerOf } from '../testing/residents.ts'
import type { Findable } from './search.ts'
import { findResidents } from './search.ts'

function one(name: string, accession: string, species: string, place: string, latin = ''): Findable {
  const resident = { ...registerOf(name), id: name, accession, lives: 'individual' as const }
  return { resident, species, latin, place }
}

const all = [
  one('Tamsin', '0001', 'Royal python', 'Tar Room · Bay 1 · shelf 1', 'Python regius'),
  one('Bollard', '0012', 'Royal python', 'Tar Room · Bay 2 · shelf 3', 'Python regius'),
  one('Tar', '0120', 'Leopard gecko', 'Gatehouse · Quarantine rack', 'Eublepharis macularius'),
  one('Zoé', '0999', 'Curly-hair tarantula', 'Knot Room · Rack A', 'Tliltocatl albopilosus'),
]

const found = (query: string) => findResidents(query, all).map(({ resident }) => resident.name)

describe('finding a resident', () => {
  it.each([
    ['tam', ['Tamsin']],
    ['12', ['Bollard', 'Tar']],
    ['0120', ['Tar']],
    ['python', ['Tamsin', 'Bollard']],
    ['regius bay 2', ['Bollard']],
    ['gatehouse', ['Tar']],
    ['ZOE', ['Zoé']],
    ['nobody', []],
  ])('"%s"', (query, names) => {
    expect(found(query)).toEqual(names)
  })

  it('puts who is called that before who lives in a place called that', () => {
    expect(found('tar')[0]).toBe('Tar')
  })

  it('opens whoever was named in full, of all whose name begins so', () => {
    const kinds = ['Zebra', 'Powder', 'Garden ants', 'Bay']
    const letters = 'A B C D E F G H'.split(' ')
    const colonies = kinds.flatMap((kind, row) =>
      letters.map((letter, at) =>
        one(`${kind} ${letter}`, `0${row}${at}0`, 'Zebra isopod', 'Knot Room · Bay B · shelf 1'),
      ),
    )
    for (const { resident } of colonies) {
      expect(findResidents(resident.name, colonies)[0]?.resident.name).toBe(resident.name)
      expect(findResidents(resident.accession, colonies)[0]?.resident.name).toBe(resident.name)
    }
  })

  it('is everybody when nothing is asked', () => {
    expect(found('  ')).toHaveLength(all.length)
  })
})
