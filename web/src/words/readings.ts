import type { Quantity, SheetGroup, Verdict, WaterLimit } from '@kobrin/core'
import { round, sayRange } from './numbers.ts'

const QUANTITIES: Readonly<Record<Quantity, { name: string; unit: string }>> = {
  celsius: { name: 'temperature', unit: '°C' },
  humidity: { name: 'humidity', unit: '%' },
  uvIndex: { name: 'UV index', unit: '' },
  ammonia: { name: 'ammonia', unit: 'mg/l' },
  nitrite: { name: 'nitrite', unit: 'mg/l' },
  nitrate: { name: 'nitrate', unit: 'mg/l' },
  ph: { name: 'pH', unit: '' },
  chlorine: { name: 'chlorine', unit: 'mg/l' },
}

export function unitOf(what: Quantity): string {
  return QUANTITIES[what].unit
}

export function sayQuantity(what: Quantity): string {
  return QUANTITIES[what].name
}

/** "warm end, temperature" */
export function sayPoint({ zone, what }: { zone: string; what: Quantity }): string {
  return what === 'celsius' || what === 'humidity' ? `${zone}, ${sayQuantity(what)}` : sayQuantity(what)
}

/** "32 °C", "pH 7.4", "UV index 3.1" */
export function sayValue(what: Quantity, value: number): string {
  const { name, unit } = QUANTITIES[what]
  return unit === '' ? `${name} ${round(value)}` : `${round(value)} ${unit}`
}

/** "0 mg/l, never from 0.25 mg/l up" */
export function sayWaterLimit(what: Quantity, { want, harmAbove, harmBelow }: WaterLimit): string {
  const unit = unitOf(what) === '' ? '' : ` ${unitOf(what)}`
  const wanted = want[0] === want[1] ? round(want[0]) : sayRange(want, round)
  return [
    `${wanted}${unit}`,
    ...(harmBelow === undefined ? [] : [`never from ${round(harmBelow)}${unit} down`]),
    ...(harmAbove === undefined ? [] : [`never from ${round(harmAbove)}${unit} up`]),
  ].join(', ')
}

interface First {
  hot: string
  cold: string
}

const REPTILE: First = {
  hot: 'Heat off, lid or vents open, a cool hide and water within reach; never into cold water. Limp or gaping: call the vet now',
  cold: 'Look at heater, thermostat and fuse; warm it slowly, over hours; no food until it is warm',
}
const AMPHIBIAN: First = {
  hot: 'Move it to the coolest room, damp and dark; cool it slowly, never on ice. Limp: call the vet now',
  cold: 'Move it where it is milder; no heater: let it warm with the room',
}
const INVERTEBRATE: First = {
  hot: 'Heat off, out of the sun, a damp cool corner; never into cold water',
  cold: 'Move it where it is milder and let it warm with the room; no heat mat under it',
}
const AQUATIC: First = {
  hot: 'Heater and lamp off, aerate; cool by no more than 2 °C an hour. Gasping: call the vet now',
  cold: 'Look at heater and thermometer; warm by no more than 2 °C an hour',
}

const FIRST: Readonly<Record<SheetGroup, First>> = {
  snake: REPTILE,
  lizard: REPTILE,
  tortoise: REPTILE,
  frog: AMPHIBIAN,
  salamander: AMPHIBIAN,
  tarantula: INVERTEBRATE,
  scorpion: INVERTEBRATE,
  whipSpider: INVERTEBRATE,
  vinegaroon: INVERTEBRATE,
  millipede: INVERTEBRATE,
  mantid: INVERTEBRATE,
  stickInsect: INVERTEBRATE,
  cockroach: INVERTEBRATE,
  beetle: INVERTEBRATE,
  butterfly: INVERTEBRATE,
  snail: INVERTEBRATE,
  ant: INVERTEBRATE,
  isopod: INVERTEBRATE,
  springtail: INVERTEBRATE,
  feeder: INVERTEBRATE,
  fish: AQUATIC,
}

type Read = Extract<Verdict['what'], { code: 'reading' }>

/** What to do first about a reading that harms. */
function sayFirst({ what, high, zone, group }: Read): string {
  switch (what) {
    case 'celsius': {
      if (!group) return high ? 'Cool it slowly' : 'Warm it slowly'
      const first = zone === 'water' ? AQUATIC : FIRST[group]
      return high ? first.hot : first.cold
    }
    case 'uvIndex':
      return 'Tube further away, or off; shade. Eyes closed or swollen: call the vet now'
    case 'humidity':
      return high ? 'More air, less water' : 'Dampen; a damp hide'
    case 'chlorine':
      return 'Into conditioned water of the same warmth at once; call the vet now'
    case 'ammonia':
    case 'nitrite':
    case 'nitrate':
      return 'No food; change a third of the water for conditioned water of the same warmth, and test again in an hour. Gasping or limp: call the vet now'
    case 'ph':
      return 'Change a little water at a time, and test again; never all at once'
  }
}

/** "46 °C at: basking, so high that it harms" */
export function sayReadingBriefly({ zone, what, value, high, harms }: Read): string {
  const at = what === 'celsius' || what === 'humidity' ? ` at: ${zone}` : ''
  const told = `${sayValue(what, value)}${at}`
  if (!harms) return `${told}, ${high ? 'above' : 'below'} what it wants`
  return `${told}, ${high ? 'so high' : 'so low'} that it harms`
}

/** The same, and what to do first. */
export function sayReading(read: Read): string {
  return read.harms ? `${sayReadingBriefly(read)}. ${sayFirst(read)}` : sayReadingBriefly(read)
}
