import type { Build } from './build.ts'

/** Inside measures, millimetres. */
export interface Box {
  widthMm: number
  depthMm: number
  heightMm: number
}

/** The longer side of the floor, whichever way the box stands, mm. */
export function longSideMm({ widthMm, depthMm }: Pick<Box, 'widthMm' | 'depthMm'>): number {
  return Math.max(widthMm, depthMm)
}

/** Inside volume in litres. */
export function litresOf({ widthMm, depthMm, heightMm }: Box): number {
  return (widthMm * depthMm * heightMm) / 1e6
}

/** Depth of the floor at its deep end, mm; null when nobody wrote it down. */
export function floorDepthMm({ layers, slopeMm = 0 }: Build): number | null {
  if (layers.length === 0) return null
  return layers.reduce((sum, layer) => sum + layer.mm, 0) + slopeMm
}

/** Nothing written down yet. */
export function emptyBuild(): Build {
  return { layers: [], furniture: [], heaters: [], lamps: [], crew: [], parts: [] }
}
