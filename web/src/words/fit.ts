import type { BodyPart, Finding } from '@kobrin/core'
import { terms } from './terms.ts'
import { spaced } from './numbers.ts'

function mm(value: number | null | undefined): string {
  return `${spaced(Math.round(value ?? 0))} mm`
}

function grown({ part, times }: Finding): string {
  return part && times !== undefined ? ` (${times} × its ${terms.part[part]})` : ''
}

function measure(part: BodyPart | undefined): string {
  return part ? terms.part[part] : 'size'
}

/** What does not fit, and what would mend it. */
export function sayFinding(finding: Finding): { what: string; mend: string } {
  const { code, needs = 0, has } = finding
  const by = grown(finding)
  switch (code) {
    case 'short':
      return { what: `Too short: ${mm(has)} of ${mm(needs)}${by}`, mend: 'A longer enclosure.' }
    case 'narrow':
      return { what: `Too narrow: ${mm(has)} of ${mm(needs)}${by}`, mend: 'A deeper enclosure.' }
    case 'low':
      return { what: `Too low: ${mm(has)} of ${mm(needs)}${by}`, mend: 'A taller enclosure.' }
    case 'crowded':
      return {
        what: `Crowded: ${spaced(Math.round(has ?? 0))} of ${spaced(Math.round(needs))} cm² of floor`,
        mend: 'Fewer animals, or a larger floor.',
      }
    case 'tooLarge': {
      const until = finding.until === undefined ? 'at this stage' : `until there are ${finding.until}`
      return {
        what: `Too large: ${spaced(Math.round(has ?? 0))} l, at most ${needs} l ${until}`,
        mend: 'A smaller nest or box inside it, or watch that it finds its food.',
      }
    }
    case 'cannotStretch':
      return {
        what: `Cannot stretch: ${mm(needs)} long in ${mm(has)}`,
        mend: 'Longer, so that it lies straight along the gradient.',
      }
    case 'floorShallow':
      return {
        what: `Floor too shallow: ${mm(has)} of ${mm(needs)}`,
        mend: `Add ${mm(needs - (has ?? 0))} of floor.`,
      }
    case 'floorUnknown':
      return { what: `Nobody wrote down how deep the floor is; it wants ${mm(needs)}`, mend: 'Measure it.' }
    case 'hangsTooLow':
      return {
        what: `Hangs too low to molt: ${mm(has)} free of ${mm(needs)}${by}`,
        mend: 'Move the perch up, or a taller enclosure.',
      }
    case 'noPerch':
      return {
        what: 'No perch on record to hang from when it molts',
        mend: `One with ${mm(needs)} free below it.`,
      }
    case 'unmeasured':
      return {
        what: `Its ${measure(finding.part)} was never measured`,
        mend: 'Measure it, then this can be judged.',
      }
    case 'noUvb':
      return { what: 'No ultraviolet tube', mend: 'Fit one, or choose the school without, with a reason.' }
    case 'uvbShort':
      return { what: `Tube too short: ${mm(has)} of ${mm(needs)}`, mend: 'A longer tube over the warm side.' }
    case 'uvbLong':
      return {
        what: `Tube too long: ${mm(has)}, at most ${mm(needs)}`,
        mend: 'A shorter one, so that there is shade.',
      }
    case 'uvbFar':
      return {
        what: `Tube too far: ${mm(has)}, at most ${mm(needs)}`,
        mend: 'Hang it lower or raise the basking place.',
      }
    case 'uvbNear':
      return {
        what: `Tube too near: ${mm(has)}, at least ${mm(needs)}`,
        mend: 'Hang it higher: it burns eyes and skin.',
      }
    case 'uvbOld':
      return { what: `Tube ${has ?? 0} days old`, mend: 'Replace it: it shines on long after it has faded.' }
    case 'fewHides':
      return { what: `${has ?? 0} of ${needs} hides`, mend: 'One at the warm and one at the cool end.' }
    case 'noLock':
      return { what: 'No lock on record', mend: 'A lock, tried from inside and outside.' }
    case 'meshWide':
      return { what: `Mesh of ${has ?? 0} mm, at most ${needs} mm`, mend: 'Finer mesh.' }
    case 'noClimbing':
      return { what: 'Nothing to climb', mend: 'Branches, cork or a backdrop.' }
    case 'noBowl':
      return { what: 'No water bowl', mend: 'A bowl it can leave again.' }
    case 'noCrew':
      return { what: 'No clean-up crew', mend: 'Add springtails or isopods from a clean culture.' }
    case 'noThermostat':
      return {
        what: `${finding.what ?? 'A heater'} without a thermostat`,
        mend: 'A thermostat with its probe where the animal lies. Unplug it until then.',
      }
    case 'noHeat':
      return {
        what: `No heater: ${needs} °C wanted, the room falls to ${has ?? 0} °C`,
        mend: 'A heater on a thermostat.',
      }
    case 'roomTooWarm':
      return {
        what: `The room reaches ${has ?? 0} °C: ${needs} °C harms it`,
        mend: 'Another room, or cooling that goes on by itself.',
      }
    case 'defect':
      return { what: finding.what ?? 'A defect', mend: 'Repair or replace.' }
    case 'replaceDue':
      return {
        what: `${finding.what ?? 'A part'} is due to be replaced`,
        mend: 'Replace it and write down the day.',
      }
  }
}
