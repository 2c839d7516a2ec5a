// Generated from schema/look.schema.json by `npm run types`. Do not edit.

export type Symmetry =
  | 'quarter-turn'
  | 'half-turn'
  | 'mirror-vertical'
  | 'mirror-horizontal'
  | 'mirror-both'
  | 'mirror-diagonals'
  | 'full'
  | 'repeat'
  | 'none'

/**
 * How the units of a block lie, version 1. Rows and columns count from 1.
 */
export interface LookFile {
  format: 'keen-seam/look'
  version: 1
  symmetry: Symmetry
  odd: OddEntry[]
  hands: HandEntry[]
  impostors: ImpostorEntry[]
  signatures: SignatureEntry[]
}
export interface OddEntry {
  row: number | string
  column: number | string
  mend: PlacementEntry | null
}
export interface PlacementEntry {
  turn: 0 | 90 | 180 | 270
  mirrored: boolean
}
export interface HandEntry {
  class: string
  unit: string
  left: number
  right: number
}
export interface ImpostorEntry {
  row: number | string
  column: number | string
  placements: PlacementEntry[]
}
export interface SignatureEntry {
  row: number | string
  column: number | string
  text: string
}
