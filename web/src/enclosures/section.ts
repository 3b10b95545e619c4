import type { Box, Build, FitInput, Finding } from '@kobrin/core'
import { floorDepthMm, longSideMm } from '@kobrin/core'

/** A piece of the drawing in millimetres: x from the left wall, y up from the ground plate. */
export interface Rect {
  x: number
  y: number
  width: number
  height: number
}

export interface Piece extends Rect {
  what: Build['furniture'][number]['what'] | 'heater' | Build['lamps'][number]['what']
  /** Something about it does not fit. */
  wrong: boolean
}

/** Height that is free, from the floor up to a perch or to the lid. */
export interface Free {
  x: number
  from: number
  to: number
  wrong: boolean
}

export interface Section {
  length: number
  height: number
  /** The box as it would have to be, where it is too short or too low. */
  needed: { length: number; height: number } | null
  layers: Rect[]
  /** Surface of the floor above the ground plate, at its shallow and its deep end. */
  floor: { shallow: number; deep: number; deepAt: 'left' | 'right' }
  /** How deep the floor would have to be, where it is too shallow. */
  floorNeeded: number | null
  pieces: Piece[]
  free: Free[]
  /** The animal lying along the enclosure. */
  animal: { length: number; wrong: boolean } | null
}

type Code = Finding['code']

function neededBy(findings: readonly Finding[], ...codes: Code[]): number | null {
  const needs = findings.flatMap(({ code, needs: asked }) =>
    codes.includes(code) && asked !== undefined ? [asked] : [],
  )
  return needs.length > 0 ? Math.max(...needs) : null
}

const HIDE = { width: 0.16, height: 0.1 }

function standing(build: Build, length: number, height: number, floor: number): Piece[] {
  const pieces = build.furniture.filter(({ what }) => what !== 'perch')
  const room = length / (pieces.length + 1)
  return pieces.map(({ what }, index) => {
    const low = what === 'bowl'
    const tall = what === 'climbing' || what === 'plant'
    const size = {
      width: Math.min(room * 0.7, length * HIDE.width),
      height: low ? height * 0.03 : tall ? (height - floor) * 0.6 : height * HIDE.height,
    }
    return {
      what,
      wrong: false,
      x: room * (index + 1) - size.width / 2,
      y: floor,
      ...size,
    }
  })
}

const TUBE_WRONG: readonly Code[] = ['uvbShort', 'uvbLong', 'uvbFar', 'uvbNear', 'uvbOld']

function overhead(build: Build, findings: readonly Finding[], length: number, height: number): Piece[] {
  const wrongTube = findings.some(({ code }) => TUBE_WRONG.includes(code))
  const thick = height * 0.03
  const lamps = build.lamps.map(({ what, lengthMm }): Piece => {
    const width = what === 'uvb' ? Math.min(lengthMm ?? length * 0.4, length) : length * 0.08
    return {
      what,
      wrong: what === 'uvb' && wrongTube,
      x: what === 'uvb' ? (length - width) / 2 : length * 0.08,
      y: height - thick,
      width,
      height: thick,
    }
  })
  const heaters = build.heaters.map(({ thermostat }, index): Piece => ({
    what: 'heater',
    wrong: !thermostat,
    x: length * (0.04 + 0.14 * index),
    y: height - 2.4 * thick,
    width: length * 0.12,
    height: thick,
  }))
  return [...lamps, ...heaters]
}

/** An enclosure cut along its longer side, to scale, with what does not fit marked in it. Furniture stands where
 * there is room, since nobody writes down where it is. */
export function sectionOf(
  box: Box,
  build: Build,
  { sizes }: Pick<FitInput['tenant'], 'sizes'>,
  findings: readonly Finding[],
): Section {
  const length = longSideMm(box)
  const { heightMm: height } = box
  const deep = floorDepthMm(build) ?? 0
  const shallow = deep - (build.slopeMm ?? 0)
  const has = (...codes: Code[]) => findings.some(({ code }) => codes.includes(code))
  const longer = neededBy(findings, 'short', 'cannotStretch')
  const taller = neededBy(findings, 'low')
  let below = 0
  const layers = build.layers.map(({ mm }) => {
    const layer = { x: 0, y: below, width: length, height: mm }
    below += mm
    return layer
  })
  const perches = build.furniture
    .filter(({ what, freeBelowMm }) => what === 'perch' && freeBelowMm !== undefined)
    .map(({ freeBelowMm = 0 }, index): Free => ({
      x: length * (0.6 + 0.12 * index),
      from: shallow,
      to: shallow + freeBelowMm,
      wrong: has('hangsTooLow'),
    }))
  const drop: Free[] = has('fallsFar') ? [{ x: length * 0.45, from: deep, to: height, wrong: true }] : []
  const animal = sizes.length ?? sizes.legSpan ?? sizes.shellDiameter
  return {
    length,
    height,
    needed:
      longer === null && taller === null
        ? null
        : { length: Math.max(length, longer ?? 0), height: Math.max(height, taller ?? 0) },
    layers,
    floor: { shallow, deep, deepAt: build.dampEnd === 'left' ? 'left' : 'right' },
    floorNeeded: neededBy(findings, 'floorShallow', 'floorUnknown'),
    pieces: [...standing(build, length, height, shallow), ...overhead(build, findings, length, height)],
    free: [...perches, ...drop],
    animal: animal === undefined ? null : { length: animal, wrong: has('cannotStretch') },
  }
}
