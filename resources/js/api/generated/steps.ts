// Generated from schema/steps.schema.json by `npm run types`. Do not edit.

/**
 * Everything there is to do to a block, in the order a quilter works, version 1. Lengths are texts in the block's unit.
 */
export interface StepsFile {
  format: 'keen-seam/steps'
  version: 1
  steps: StepEntry[]
}
export interface StepEntry {
  n: number
  do: 'cut' | 'mark' | 'join' | 'cut-apart' | 'press' | 'square-up' | 'lay-out' | 'check' | 'measure'
  /**
   * Ids of the plan's joins that are sewn or pressed.
   */
  joins?: number[]
  /**
   * Ids of the plan's patches, one list for each part that is squared up or measured.
   */
  patches?: number[][]
  /**
   * Raw width and height that each of them must have.
   *
   * @minItems 2
   * @maxItems 2
   */
  size?: [string, string]
  /**
   * How often the motion is done, all blocks counted.
   */
  times: number
  /**
   * How many of them are done and measured before the rest.
   */
  first?: number
  /**
   * Label of the class of units it is done to.
   */
  class?: string
  /**
   * In which the units are made.
   */
  way?: string
  /**
   * Of that way.
   */
  stage?: 'lay' | 'mark' | 'sew' | 'cut' | 'open' | 'press' | 'trim' | 'turn'
  text: string
}
