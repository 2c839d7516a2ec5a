// Generated from schema/plan.schema.json by `npm run types`. Do not edit.

/**
 * @minItems 2
 * @maxItems 2
 */
export type Point = [string, string]
export type Ids = number[]
export type PressDirection = 'left' | 'right' | 'open'
export type Nesting = 'nested' | 'stacked' | 'lopsided' | 'flat'

/**
 * The order of sewing and pressing of a block, version 1. Points are finished inches (or mm) as exact texts, x to the right, y down.
 */
export interface PlanFile {
  format: 'keen-seam/plan'
  version: 1
  patches: PlanPatch[]
  joins: PlanJoin[]
  junctions: PlanJunction[]
  steps: PlanStep[]
  totals: PlanTotals
  proved: boolean
  /**
   * Of tops only: on point the hanging top is the frame turned 45 degrees clockwise.
   */
  frame?: 'upright' | 'on-point'
  /**
   * Of tops only: width and height as it hangs, without borders, with six decimals.
   */
  finished?: {
    width: string
    height: string
  }
  /**
   * Of tops only: what lies in each place, as the plan turns it.
   */
  places?: PlanPlace[]
  /**
   * Of tops only: in how many piles each block is pressed.
   */
  piles?: {
    [k: string]: number
  }
  /**
   * Only when not proved: how far at most the plan is from the best one, in the first figure in which they may differ.
   */
  gap?: {
    figure: 'over_lump' | 'unlocked' | 'mismatch' | 'peak_squared' | 'folded' | 'shadow' | 'furls'
    plan: number
    bound: number
  }
}
export interface PlanPatch {
  id: number
  fabric: string
  points: Point[]
}
export interface PlanJoin {
  id: number
  left: Ids
  right: Ids
  from: Point
  to: Point
  press: PressDirection[]
  matches: PlanMeeting[]
  ends: PlanMeeting[]
}
export interface PlanMeeting {
  at: Point
  kind: Nesting
}
export interface PlanJunction {
  at: Point
  patches: number
  peak: number
}
export interface PlanStep {
  do: 'join' | 'press' | 'lay-out'
  joins: Ids
  text: string
}
export interface PlanTotals {
  joins: number
  matches: number
  nested: number
  stacked: number
  lopsided: number
  flat: number
  peak_squared: number
  shadow: string
  folded: number
  furls: number
}
export interface PlanPlace {
  row: number | string
  column: number | string
  block?: string
  fabric?: string
  turn?: 0 | 90 | 180 | 270
  mirrored?: boolean
  /**
   * From 1, among the piles of the block.
   */
  pile?: number
  patches: Ids
}
