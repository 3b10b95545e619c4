import type { Role } from '@kobrin/core'

export interface StaffPlan {
  login: string
  name: string
  initials: string
  role: Role
  pin: string | null
  competences: string[]
}

/** Who works at the Ropewalk. */
export const STAFF: readonly StaffPlan[] = [
  {
    login: 'maren',
    name: 'Maren Oyelaran',
    initials: 'MO',
    role: 'curator',
    pin: '1801',
    competences: [
      'scorpions',
      'leafcutter ants',
      'urticating spiders',
      'rear-fanged snakes',
      'amphibians with toxic skin',
    ],
  },
  {
    login: 'kelechi',
    name: 'Kelechi Iwu',
    initials: 'KI',
    role: 'seniorKeeper',
    pin: '1802',
    competences: ['scorpions', 'urticating spiders', 'rear-fanged snakes', 'amphibians with toxic skin'],
  },
  {
    login: 'tomas',
    name: 'Tomas Brandvold',
    initials: 'TB',
    role: 'seniorKeeper',
    pin: '1803',
    competences: ['leafcutter ants', 'amphibians with toxic skin'],
  },
  {
    login: 'lotte',
    name: 'Lotte Verhaege',
    initials: 'LV',
    role: 'keeper',
    pin: '1804',
    competences: ['scorpions', 'urticating spiders', 'rear-fanged snakes', 'amphibians with toxic skin'],
  },
  { login: 'priya', name: 'Priya Ramanathan', initials: 'PR', role: 'keeper', pin: '1805', competences: [] },
  { login: 'sam', name: 'Sam Penhallow', initials: 'SP', role: 'volunteer', pin: '1806', competences: [] },
  { login: 'ines', name: 'Dr Ines Caldeira', initials: 'IC', role: 'vet', pin: '1807', competences: [] },
  { login: 'joss', name: 'Joss Hale', initials: 'JH', role: 'reader', pin: null, competences: [] },
]

/** The passphrase of a person in the demonstration. */
export function demoPassphrase(login: string): string {
  return `ropewalk ${login}`
}
