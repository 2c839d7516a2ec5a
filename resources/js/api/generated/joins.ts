// Generated from schema/joins.schema.json by `npm run types`. Do not edit.

/**
 * @minItems 2
 * @maxItems 2
 */
export type Pair = [string, string]

/**
 * What must meet at every join of a plan, where it lies and whether it will, version 1. Amounts are texts in the block's unit; those that are no whole 64ths have six decimals.
 */
export interface JoinsFile {
  format: 'keen-seam/joins'
  version: 1
  take_up: string
  /**
   * Of a top with borders: the seams by which they come to it, two alike of each, with the length they are planned for.
   */
  borders?: BorderEntry[]
  joins: JoinEntry[]
  block: {
    unfinished: Pair
    expected: Pair
  }
}
export interface BorderEntry {
  border: number
  sides: 'left and right' | 'top and bottom'
  times: number
  finished: string
}
export interface JoinEntry {
  id: number
  finished: string
  raw: Pair
  /**
   * How far the raw edges go past the finished corner, at the start of the join and at its end.
   *
   * @minItems 2
   * @maxItems 2
   */
  reach: [ReachEntry, ReachEntry]
  ends_differ: string
  up: 'left' | 'right' | 'either'
  bias: 'none' | 'left' | 'right' | 'both'
  marks: MarkEntry[]
}
export interface ReachEntry {
  left: string
  right: string
}
export interface MarkEntry {
  at: Pair
  from_edge: Pair
  left: 'tip' | 'seam' | 'plain'
  right: 'tip' | 'seam' | 'plain'
  kind: 'match' | 'tip' | 'floating'
  nest: 'nested' | 'stacked' | 'lopsided' | 'flat' | null
  miss: string | null
}
