import type { Role } from '@kobrin/contract'

export interface StaffPlan {
  login: string
  name: string
  initials: string
  role: Role
  pin: string | null
}

/** Who works at the Ropewalk. */
export const STAFF: readonly StaffPlan[] = [
  { login: 'maren', name: 'Maren Oyelaran', initials: 'MO', role: 'curator', pin: '1801' },
  { login: 'kelechi', name: 'Kelechi Iwu', initials: 'KI', role: 'seniorKeeper', pin: '1802' },
  { login: 'tomas', name: 'Tomas Brandvold', initials: 'TB', role: 'seniorKeeper', pin: '1803' },
  { login: 'lotte', name: 'Lotte Verhaege', initials: 'LV', role: 'keeper', pin: '1804' },
  { login: 'priya', name: 'Priya Ramanathan', initials: 'PR', role: 'keeper', pin: '1805' },
  { login: 'sam', name: 'Sam Penhallow', initials: 'SP', role: 'volunteer', pin: '1806' },
  { login: 'ines', name: 'Dr Ines Caldeira', initials: 'IC', role: 'vet', pin: '1807' },
  { login: 'joss', name: 'Joss Hale', initials: 'JH', role: 'reader', pin: null },
]

/** The passphrase of a person in the demonstration. */
export function demoPassphrase(login: string): string {
  return `ropewalk ${login}`
}
