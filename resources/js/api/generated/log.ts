// Generated from schema/log.schema.json by `npm run types`. Do not edit.

/**
 * What was done at the machine, in the order of time, version 1. Lengths are texts with their unit. Keys that were taken back are left out.
 */
export interface LogFile {
  format: 'keen-seam/log'
  version: 1
  entries: LogFileEntry[]
}
export interface LogFileEntry {
  /**
   * When, in coordinated universal time.
   */
  at: string
  /**
   * Its name.
   */
  block: string
  deed: 'done' | 'counted' | 'otherwise' | 'measured' | 'unpicked' | 'paused' | 'resumed'
  /**
   * What the step, or the unpicked seam, is called.
   */
  step?: string
  do?: 'cut' | 'mark' | 'join' | 'cut-apart' | 'press' | 'square-up' | 'lay-out' | 'check' | 'measure'
  place?: 'machine' | 'iron' | 'table' | 'cutting mat'
  /**
   * How often the motion was done.
   */
  times?: number
  /**
   * Since the entry before; 0 after a pause, or when somebody was away.
   */
  seconds?: number
  cause?: 'turned' | 'wrong-hand' | 'missed-point' | 'pressed-wrong' | 'other'
  /**
   * Of an unpicking, in the quilter's own words.
   */
  reason?: string
  /**
   * What the units at an unpicked seam are called.
   */
  units?: string
  /**
   * Seams that were opened.
   */
  seams?: number
  /**
   * Measured, width and height.
   *
   * @minItems 2
   * @maxItems 2
   */
  size?: [string, string]
  /**
   * As it was to be, width and height.
   *
   * @minItems 2
   * @maxItems 2
   */
  meant?: [string, string]
}
