import type { Build, Housing, Light, Sheet } from '@kobrin/core'
import { emptyBuild, longSideMm, uvbFor } from '@kobrin/core'
import type { Chance } from './chance.ts'

interface Box {
  widthMm: number
  depthMm: number
  heightMm: number
}

/** Warmer than a room: below this nobody needs a heater of their own. */
const ROOM_WARMTH = 26

function housingOf(sheet: Sheet, stageId: string): Housing {
  return { ...sheet.housing, ...sheet.stages.find(({ id }) => id === stageId)?.housing }
}

function layersOf(sheet: Sheet, { floorDepthMm }: Housing): Build['layers'] {
  const deep = floorDepthMm?.[0] ?? 0
  if (deep === 0) return [{ material: 'paper', mm: 2 }]
  const main = sheet.floor?.parts[0]?.material ?? 'coir'
  return [
    { material: main, mm: Math.round(deep * 1.1) },
    { material: 'leaf litter', mm: 15 },
  ]
}

function furnitureOf(housing: Housing, box: Box): Build['furniture'] {
  const furniture: Build['furniture'] = []
  for (let hide = 0; hide < (housing.hides ?? 0); hide += 1)
    furniture.push({ what: hide === 1 ? 'dampHide' : 'hide' })
  if (housing.bowl) furniture.push({ what: 'bowl' })
  if (housing.climbing || housing.freeBelowPerch)
    furniture.push({ what: 'perch', note: 'cork', freeBelowMm: Math.round(box.heightMm * 0.7) })
  return furniture
}

function uvbOf(sheet: Sheet, light: Light | undefined): Light['uvb'] {
  const chosen = sheet.schools
    .flatMap(({ options, default: id }) => options.filter((option) => option.id === id))
    .find((option) => option.light?.uvb)
  return light?.uvb ?? chosen?.light?.uvb
}

function lampsOf(sheet: Sheet, box: Box, day: number, chance: Chance): Build['lamps'] {
  const uvb = uvbOf(sheet, sheet.light)
  if (!uvb) return []
  const { tubeMm, distanceMm } = uvbFor(uvb, longSideMm(box), 0)
  return [
    {
      what: 'uvb',
      lengthMm: Math.round((tubeMm[0] + tubeMm[1]) / 2),
      distanceMm: Math.round((distanceMm[0] + distanceMm[1]) / 2),
      fittedOn: day - chance.whole(30, 340),
    },
  ]
}

function heatersOf(sheet: Sheet): Build['heaters'] {
  const warmest = Math.max(0, ...sheet.targets.flatMap(({ celsius }) => celsius?.[0] ?? []))
  if (warmest <= ROOM_WARMTH) return []
  const zone = sheet.targets.find(({ celsius }) => celsius?.[0] === warmest)?.zone ?? 'warm end'
  return [{ what: warmest > 34 ? 'Basking lamp' : 'Heat panel', watts: 50, thermostat: true, probeAt: zone }]
}

/** What slips in a real house: here and there something is missing, worn or forgotten. */
function withSlips(build: Build, chance: Chance): Build {
  if (!chance.happens(0.09)) return build
  const slips: readonly ((from: Build) => Build)[] = [
    (from) => ({ ...from, furniture: from.furniture.filter(({ what }) => what !== 'dampHide') }),
    (from) => ({ ...from, heaters: from.heaters.map((heater) => ({ ...heater, thermostat: false })) }),
    (from) => ({ ...from, lamps: from.lamps.map((lamp) => ({ ...lamp, distanceMm: 520 })) }),
    (from) => ({ ...from, layers: from.layers.slice(1) }),
    (from) => ({ ...from, parts: [{ what: 'Vent mesh', defect: 'chewed at the corner' }] }),
  ]
  return chance.pick(slips)(build)
}

/** Fits an enclosure out as its sheet asks, with the slips of a real house. */
export function furnish(sheet: Sheet, stageId: string, box: Box, day: number, chance: Chance): Build {
  const housing = housingOf(sheet, stageId)
  const build: Build = {
    ...emptyBuild(),
    layers: layersOf(sheet, housing),
    furniture: furnitureOf(housing, box),
    heaters: heatersOf(sheet),
    lamps: lampsOf(sheet, box, day, chance),
    ...(housing.lock && { lock: true }),
    ...(housing.meshMm !== undefined && { meshMm: housing.meshMm }),
    crew: sheet.lives === 'individual' || housing.crew ? ['springtails'] : [],
  }
  return withSlips(build, chance)
}
