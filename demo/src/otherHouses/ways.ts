/** How a body grows, by laws that do not agree with each other. */
export type GrowthLaw = 'gompertz' | 'logistic' | 'cubic' | 'straight'

/** How a house keeps its record: what it writes down, and with what. */
export interface Ways {
  name: string
  /** Days from one weighing to the next, and how many of them are made. */
  weighEvery: number
  weighs: number
  /** The smallest step the balance shows, grams. */
  step: number
  /** What a meal adds to the body, as a share, and how long it stays, in days. */
  gut: { share: number; days: number }
  /** How far water and fat wander, in ln grams. */
  reserve: number
  growth: GrowthLaw
  /** Of sheds or molts, of their signs, and of hardening: how many are written down. */
  sheds: number
  signs: number
  hardens: number
  /** Of days: on how many somebody writes that it was seen. */
  looks: number
  /** Meals are left in place and looked at on the next morning. */
  leaves: boolean
  /** Days from one score of the condition to the next; null where nobody scores. */
  scoreEvery: number | null
  /** Of entries: how many are told after later ones. */
  late: number
  /** Of weighings: how many are written down wrong. */
  slips: number
  /** Some come in thin and have to gain. */
  thin: number
}

const EVERYTHING: Ways = {
  name: 'writes everything',
  weighEvery: 7,
  weighs: 0.95,
  step: 0.01,
  gut: { share: 0.02, days: 1.5 },
  reserve: 0.008,
  growth: 'cubic',
  sheds: 1,
  signs: 0.9,
  hardens: 1,
  looks: 0.95,
  leaves: false,
  scoreEvery: 28,
  late: 0,
  slips: 0.01,
  thin: 0.1,
}

/** Houses that keep their records in ways that disagree with each other. */
export const HOUSES: readonly Ways[] = [
  EVERYTHING,
  {
    ...EVERYTHING,
    name: 'writes little',
    weighEvery: 30,
    weighs: 0.8,
    step: 1,
    gut: { share: 0.05, days: 2.5 },
    reserve: 0.012,
    growth: 'logistic',
    sheds: 0.6,
    signs: 0.2,
    hardens: 0,
    looks: 0.3,
    scoreEvery: null,
    late: 0.1,
  },
  {
    ...EVERYTHING,
    name: 'full guts on the balance',
    weighEvery: 14,
    weighs: 0.9,
    step: 1,
    gut: { share: 0.12, days: 4 },
    reserve: 0.012,
    growth: 'gompertz',
    sheds: 0.9,
    signs: 0.5,
    hardens: 0.5,
    looks: 0.8,
    scoreEvery: 60,
    thin: 0.2,
  },
  {
    ...EVERYTHING,
    name: 'writes no sheds',
    weighEvery: 14,
    step: 0.1,
    gut: { share: 0.04, days: 2 },
    growth: 'straight',
    sheds: 0,
    signs: 0,
    hardens: 0,
    looks: 0.7,
    leaves: true,
    scoreEvery: 45,
    late: 0.15,
  },
  {
    ...EVERYTHING,
    name: 'weighs once a month',
    weighEvery: 30,
    weighs: 0.95,
    step: 0.1,
    gut: { share: 0.06, days: 3 },
    reserve: 0.015,
    growth: 'cubic',
    sheds: 0.95,
    signs: 0.7,
    hardens: 0.3,
    looks: 0.9,
    scoreEvery: 90,
    late: 0.05,
    thin: 0.25,
  },
]
