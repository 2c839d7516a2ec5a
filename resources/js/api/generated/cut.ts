// Generated from schema/cut.schema.json by `npm run types`. Do not edit.

/**
 * @minItems 2
 * @maxItems 2
 */
export type Size = [string, string]

/**
 * What to cut for a block and how its units are made, version 1. Lengths are texts in the block's unit.
 */
export interface CutFile {
  format: 'keen-seam/cut'
  version: 1
  units: CutUnitEntry[]
  cuts: CutEntry[]
  fabric: FabricLengthEntry[]
}
export interface CutUnitEntry {
  class: string
  unit: string
  finished: Size
  unfinished: Size
  need: number
  /**
   * How many of its mirror image are needed as well.
   */
  mirrored: number
  method: string
  batches: number
  /**
   * Units of both hands.
   */
  makes: number
  spare: number
  look_alike: string[]
}
export interface CutEntry {
  fabric: string
  shape: 'square' | 'rectangle' | 'strip' | 'template'
  size: Size
  count: number
  for: string[]
}
export interface FabricLengthEntry {
  fabric: string
  length: string
  width: string
}
