import * as z from 'zod/mini'
import { coded } from '../../basics/coded.ts'

const text = z.string()
const number = z.number()

/** What in a sheet contradicts itself, or looks like a slip of the unit; coded, so that every language can
 * say it. */
export const FaultCode = z.discriminatedUnion('code', [
  coded('twice', { what: z.enum(['stages', 'schools', 'duties', 'options']), id: text }),
  coded('backwards', { of: text, from: number, to: number }),
  coded('ceilingTooLow', { zone: text, ceiling: number, wanted: number }),
  coded('neverBelowTooHigh', { zone: text, neverBelow: number, wanted: number }),
  coded('measuresUnsaid', { zone: text }),
  coded('ceilingUnsaid', {}),
  coded('neverBelowUnsaid', {}),
  coded('overSaturated', { zone: text }),
  coded('sizesLack', { duty: text, lack: z.enum(['grams', 'width']) }),
  coded('portionOutside', { duty: text, grams: number, min: number, max: number }),
  coded('noTolerance', { duty: text }),
  coded('windowShut', { duty: text }),
  coded('neverOffered', { duty: text, item: text }),
  coded('unreachable', { stage: text, next: text }),
  coded('nobodyStays', { stage: text, ends: number, earlier: text, earlierEnds: number }),
  coded('defaultUnknown', { question: text, option: text }),
  coded('noOptionStands', { question: text, ultraviolet: z.boolean() }),
  coded('restLacks', { option: text, lack: z.enum(['gate', 'hold', 'climate', 'weighing']) }),
  coded('floorTooThin', { needs: number, has: number }),
  coded('stageUnknown', { stage: text }),
  coded('vetUnnamed', { sign: text }),
  coded('fahrenheit', { zone: text, of: z.enum(['target', 'ceiling']), value: number, celsius: number }),
  coded('share', { zone: text, value: number }),
  coded('outsideGroup', {
    of: z.enum([
      'zone',
      'ceiling',
      'meal',
      'grams',
      'mm',
      'ultraviolet',
      'humidity',
      'rhythm',
      'quarantine',
      'd3',
      'lampDistance',
      'perLitre',
      'per100Cm2',
    ]),
    what: text,
    value: number,
    low: number,
    high: number,
  }),
  coded('longDay', { hours: number }),
  coded('winterLonger', { winter: number, summer: number }),
  coded('seasonInRest', { option: text }),
  coded('widerThanEyes', { duty: text }),
  coded('adviceForbidden', { says: text, line: text }),
  coded('cannotCarryOut', {
    why: z.enum([
      'tooWet',
      'bowlTooLarge',
      'tankEmptied',
      'noBowl',
      'noCrew',
      'livingFloorOut',
      'noFloorForOne',
      'noVolumeForOne',
    ]),
    stage: text,
    duty: text,
    asks: z.optional(number),
    most: z.optional(number),
  }),
])
export type FaultCode = z.infer<typeof FaultCode>

/** Where in the sheet, and what is wrong there. */
export interface Fault {
  path: (string | number)[]
  what: FaultCode
}
