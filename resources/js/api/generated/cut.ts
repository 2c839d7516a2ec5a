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
  strips: StripSetEntry[]
  pattern?: PatternEntry
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
  /**
   * Pairs that were sewn and are not needed.
   */
  half_made: number
  yields: CutYields
  build: 'alike' | 'as they come'
}
/**
 * What one batch gives, by how it is built; look_alike shows the same face built as the mirror image.
 */
export interface CutYields {
  own: number
  mirror: number
  look_alike: number
}
export interface CutEntry {
  fabric: string
  shape: 'square' | 'rectangle' | 'strip' | 'template'
  size: Size
  count: number
  then: 'none' | 'cut once corner to corner' | 'cut twice corner to corner'
  for: string[]
  /**
   * The letter of its stack, given at exact sizes.
   */
  stack: string
  /**
   * Corners of one piece as it lies when it is cut further, right side up, allowance included.
   */
  outline: Size[]
  /**
   * How many of the pieces are cut the other way round.
   */
  mirrored: number
  /**
   * Patches of the plan that the pieces become, where they keep their shape.
   */
  patches?: number[]
}
export interface FabricLengthEntry {
  fabric: string
  length: string
  width: string
}
export interface StripSetEntry {
  fabrics: string[]
  widths: string[]
  sets: number
  cuts: StripCutEntry[]
  for: string[]
}
export interface StripCutEntry {
  width: string
  count: number
}
/**
 * How a pattern's own list compares; line numbers from 1.
 */
export interface PatternEntry {
  explained: PatternExplained[]
  short: PatternShort[]
  unknown: PatternUnknown[]
}
export interface PatternExplained {
  line: number
  way: string
  margin: 'exact' | 'larger'
}
export interface PatternShort {
  what: string
  fabric?: string
  size?: Size
  class?: string
  count: number
}
export interface PatternUnknown {
  line: number
  reason: string
}
