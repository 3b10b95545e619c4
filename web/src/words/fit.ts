import type { BodyPart, Finding } from '@kobrin/core'
import { terms } from './terms.ts'
import { round, sayMm, spaced } from './numbers.ts'

function grown({ part, times }: Finding): string {
  return part && times !== undefined ? ` (${round(times)} × its ${terms.part[part]})` : ''
}

function measure(part: BodyPart | undefined): string {
  return part ? terms.part[part] : 'size'
}

interface Measured extends Finding {
  needs: number
  /** What it has; nothing where nothing is on record. */
  has: number
  by: string
}

interface Said {
  what: string
  mend: string
}

const SAYS: Record<Finding['code'], (finding: Measured) => Said> = {
  short: ({ needs, has, by }) => ({
    what: `Too short: ${sayMm(has)} of ${sayMm(needs)}${by}`,
    mend: 'A longer enclosure.',
  }),
  narrow: ({ needs, has, by }) => ({
    what: `Too narrow: ${sayMm(has)} of ${sayMm(needs)}${by}`,
    mend: 'A deeper enclosure.',
  }),
  low: ({ needs, has, by }) => ({
    what: `Too low: ${sayMm(has)} of ${sayMm(needs)}${by}`,
    mend: 'A taller enclosure.',
  }),
  crowded: ({ needs, has }) => ({
    what: `Crowded: ${spaced(Math.round(has))} of ${spaced(Math.round(needs))} cm² of floor`,
    mend: 'Fewer animals, or a larger floor.',
  }),
  fewLitres: ({ needs, has }) => ({
    what: `Crowded: ${spaced(Math.round(has))} of ${spaced(Math.round(needs))} l for all of them`,
    mend: 'Fewer animals, or a larger enclosure.',
  }),
  fallsFar: ({ needs, has, by }) => ({
    what: `A fall would break it: ${sayMm(has)} above its floor, at most ${sayMm(needs)}${by}`,
    mend: 'More floor, or a lower enclosure; nothing hard below.',
  }),
  tooLarge({ needs, has, until }) {
    const when = until === undefined ? 'at this stage' : `until there are ${until}`
    return {
      what: `Too large: ${spaced(Math.round(has))} l, at most ${needs} l ${when}`,
      mend: 'A smaller nest or box inside it, or watch that it finds its food.',
    }
  },
  cannotStretch: ({ needs, has }) => ({
    what: `Cannot stretch: ${sayMm(needs)} long in ${sayMm(has)}`,
    mend: 'Longer, so that it lies straight along the gradient.',
  }),
  floorShallow: ({ needs, has }) => ({
    what: `Floor too shallow: ${sayMm(has)} of ${sayMm(needs)}`,
    mend: `Add ${sayMm(needs - has)} of floor.`,
  }),
  floorUnknown: ({ needs }) => ({
    what: `Nobody wrote down how deep the floor is; it wants ${sayMm(needs)}`,
    mend: 'Measure it.',
  }),
  hangsTooLow: ({ needs, has, by }) => ({
    what: `Hangs too low to molt: ${sayMm(has)} free of ${sayMm(needs)}${by}`,
    mend: 'Move the perch up, or a taller enclosure.',
  }),
  noPerch: ({ needs }) => ({
    what: 'No perch on record to hang from when it molts',
    mend: `One with ${sayMm(needs)} free below it.`,
  }),
  unmeasured: ({ part }) => ({
    what: `Its ${measure(part)} was never measured`,
    mend: 'Measure it, then this can be judged.',
  }),
  noUvb: () => ({
    what: 'No ultraviolet tube',
    mend: 'Fit one, or choose the school without, with a reason.',
  }),
  uvbShort: ({ needs, has }) => ({
    what: `Tube too short: ${sayMm(has)} of ${sayMm(needs)}`,
    mend: 'A longer tube over the warm side.',
  }),
  uvbLong: ({ needs, has }) => ({
    what: `Tube too long: ${sayMm(has)}, at most ${sayMm(needs)}`,
    mend: 'A shorter one, so that there is shade.',
  }),
  uvbFar: ({ needs, has }) => ({
    what: `Tube too far: ${sayMm(has)}, at most ${sayMm(needs)}`,
    mend: 'Hang it lower or raise the basking place.',
  }),
  uvbNear: ({ needs, has }) => ({
    what: `Tube too near: ${sayMm(has)}, at least ${sayMm(needs)}`,
    mend: 'Hang it higher: it burns eyes and skin.',
  }),
  uvbOld: ({ has }) => ({
    what: `Tube ${has} days old`,
    mend: 'Replace it: it shines on long after it has faded.',
  }),
  fewHides: ({ needs, has }) => ({
    what: `${has} of ${needs} hides`,
    mend: 'One at the warm and one at the cool end.',
  }),
  noLock: () => ({ what: 'No lock on record', mend: 'A lock, tried from inside and outside.' }),
  meshWide: ({ needs, has }) => ({ what: `Mesh of ${has} mm, at most ${needs} mm`, mend: 'Finer mesh.' }),
  noClimbing: () => ({ what: 'Nothing to climb', mend: 'Branches, cork or a backdrop.' }),
  noBowl: () => ({ what: 'No water bowl', mend: 'A bowl it can leave again.' }),
  noCrew: () => ({ what: 'No clean-up crew', mend: 'Add springtails or isopods from a clean culture.' }),
  noThermostat: ({ what }) => ({
    what: `${what ?? 'A heater'} without a thermostat`,
    mend: 'A thermostat with its probe where the animal lies. Unplug it until then.',
  }),
  noHeat: ({ needs, has }) => ({
    what: `No heater: ${needs} °C wanted, the room has ${has} °C`,
    mend: 'A heater on a thermostat.',
  }),
  roomTooCold: ({ needs, has }) => ({
    what: `The room falls to ${has} °C: below ${needs} °C harms it`,
    mend: 'A milder room. No heater: it dies of heat sooner than of cold.',
  }),
  roomTooWarm: ({ needs, has }) => ({
    what: `The room reaches ${has} °C: ${needs} °C harms it`,
    mend: 'Another room, or cooling that goes on by itself.',
  }),
  defect: ({ what }) => ({ what: what ?? 'A defect', mend: 'Repair or replace.' }),
  replaceDue: ({ what }) => ({
    what: `${what ?? 'A part'} is due to be replaced`,
    mend: 'Replace it and write down the day.',
  }),
}

/** What does not fit, and what would mend it. */
export function sayFinding(finding: Finding): Said {
  const { code, needs = 0, has } = finding
  return SAYS[code]({ ...finding, needs, has: has ?? 0, by: grown(finding) })
}
