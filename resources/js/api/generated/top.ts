// Generated from schema/top.schema.json by `npm run types`. Do not edit.

/**
 * Relative widths, left to right or top to bottom.
 */
export type Widths = string[]
export type Cells = CellEntry[]

/**
 * A quilt top: blocks in a setting, version 1. Lengths are texts as in block files. Rows and columns count from 1; on point the places between whole blocks stand at halves.
 */
export interface TopFile {
  format: 'keen-seam/top'
  version: 1
  name: string
  units: 'in' | 'mm'
  seam_allowance: string
  fabrics: FabricEntry[]
  /**
   * What a block file has without its header, by a key of its own; all of one finished size.
   */
  blocks: {
    [k: string]: TopBlockEntry
  }
  setting: 'straight' | 'on-point'
  rows: number
  columns: number
  /**
   * A place left out is filled with the first block.
   */
  places?: TopPlaceEntry[]
  /**
   * Which turns of a place the planner may choose.
   */
  turns?: 'fixed' | 'same-face' | 'any'
  /**
   * In how many piles a block may be pressed, by its key.
   */
  piles?: {
    [k: string]: number
  }
  sashes?: SashesEntry
  sides?: SidesEntry
  /**
   * From the inside out.
   */
  borders?: BorderEntry[]
}
export interface FabricEntry {
  key: string
  name: string
  color: string
  value: 'light' | 'medium' | 'dark'
}
export interface TopBlockEntry {
  finished: {
    width: string
    height: string
  }
  columns: Widths
  rows: Widths
  cells: Cells
  /**
   * How the block is sewn.
   */
  order?: 'rows' | 'columns' | 'quarters' | 'twos' | 'diagonal' | 'around' | 'best'
}
export interface CellEntry {
  row: number
  column: number
  row_span?: number
  column_span?: number
  unit:
    | 'plain'
    | 'half-square-triangle'
    | 'quarter-square-triangle'
    | 'split-quarter-square-triangle'
    | 'flying-geese'
    | 'triangle-in-square'
    | 'square-in-square'
    | 'flipped-corners'
    | 'grid'
    | 'patches'
  /**
   * Quarter turns clockwise, in degrees.
   */
  turn?: 0 | 90 | 180 | 270
  /**
   * Flipped left to right, before the turn.
   */
  mirrored?: boolean
  label?: string
  /**
   * Keys of fabrics, one a patch in the order of the unit kind.
   */
  fabrics?: string[]
  columns?: Widths
  rows?: Widths
  cells?: Cells
  /**
   * Corners sewn and flipped, in the unit's own frame.
   */
  corners?: {
    tl?: CornerEntry
    tr?: CornerEntry
    br?: CornerEntry
    bl?: CornerEntry
  }
  patches?: PatchEntry[]
}
export interface CornerEntry {
  fabric: string
  size: string
}
export interface PatchEntry {
  fabric: string
  /**
   * Corners in order round the patch; x and y as fractions of the cell, 0 to 1.
   */
  points: [string, string][]
}
export interface TopPlaceEntry {
  /**
   * A number from 1; on point a text like "1 1/2".
   */
  row: number | string
  /**
   * A number from 1; on point a text like "1 1/2".
   */
  column: number | string
  block?: string
  fabric?: string
  /**
   * Quarter turns clockwise, in degrees.
   */
  turn?: 0 | 90 | 180 | 270
  mirrored?: boolean
}
export interface SashesEntry {
  width: string
  fabric: string
  cornerstone?: string
  outer?: boolean
}
export interface SidesEntry {
  fabric?: string
  blocks?: boolean
  float?: string
}
export interface BorderEntry {
  width: string
  fabric: string
  corners?: 'butted' | 'squares'
  /**
   * Fabric of the squares in the corners; that of the border if not given.
   */
  square?: string
}
