// Generated from schema/block.schema.json by `npm run types`. Do not edit.

export type Length = string
/**
 * Relative widths, left to right or top to bottom.
 */
export type Widths = Length[]
export type Cells = CellEntry[]

/**
 * A quilt block, version 1. Lengths are texts: "2 7/8", "2.875", "73 mm". Rows and columns count from 1.
 */
export interface BlockFile {
  format: 'keen-seam/block'
  version: 1
  name: string
  units: 'in' | 'mm'
  finished: {
    width: Length
    height: Length
  }
  seam_allowance: Length
  fabrics: FabricEntry[]
  columns: Widths
  rows: Widths
  cells: Cells
  plan?: PlanEntry
}
export interface FabricEntry {
  key: string
  name: string
  color: string
  value: 'light' | 'medium' | 'dark'
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
  size: Length
}
export interface PatchEntry {
  fabric: string
  /**
   * Corners in order round the patch; x and y as fractions of the cell, 0 to 1.
   */
  points: [Length, Length][]
}
/**
 * What was decided about sewing, pressing and making. Seams are told by their two ends as fractions of the block's width and height, classes of units by row and column of their first cell.
 */
export interface PlanEntry {
  /**
   * One of rows, columns, quarters, twos, diagonal, around, best; or an order of one's own as nested pairs of cells ("1,2") or patches of a cell ("1,2#3").
   */
  order?: {
    [k: string]: unknown
  }
  style?: 'nest' | 'nest-furl' | 'open' | 'dark' | 'mixed'
  /**
   * Plies above which style mixed opens a seam.
   */
  lump?: number
  rules?: string[]
  locks?: LockEntry[]
  piles?: {
    [k: string]: 1 | 2
  }
  ways?: {
    [k: string]: string
  }
  margins?: {
    [k: string]: 'exact' | 'larger'
  }
  build?: {
    [k: string]: 'alike' | 'as they come'
  }
}
export interface LockEntry {
  /**
   * The two ends, x and y as fractions of the block.
   *
   * @minItems 2
   * @maxItems 2
   */
  seam: [[Length, Length], [Length, Length]]
  /**
   * As seen on the face; one word for the whole seam, or one a segment from the end named first.
   */
  press: ('left' | 'right' | 'up' | 'down' | 'open')[]
}
