import type { Nesting, PlanTotals, PressDirection } from './generated/plan'

export type { Nesting, PressDirection }

/** A place on the face in the block's unit of length, x to the right, y down. For drawing only. */
export type Place = [number, number]

export interface FabricShown {
  key: string
  name: string
  color: string
  value: 'light' | 'medium' | 'dark'
}

export interface PatchShown {
  id: number
  fabric: string
  points: Place[]
}

export interface FaceShown {
  width: number
  height: number
  units: 'in' | 'mm'
  allowance: number
  /** One text when square, else width and height. */
  finished: string[]
  unfinished: string[]
  fabrics: FabricShown[]
  patches: PatchShown[]
}

export interface ShelfBlock {
  id: number
  name: string
  version: number
  units: number
  stepsDone: number
  face: FaceShown
}

export interface JoinShown {
  id: number
  title: string
  /** What the left and the right part are called: "unit 1", "row 2", "Harbour ink". */
  left: string
  right: string
  /** Ids of all joins pressed with this one, itself included. */
  pile: number[]
  /** Whether it is a seam inside a unit, not one of the block's own rows. */
  isOfUnit: boolean
  from: Place
  to: Place
  /** 1 when the left part lies clockwise of the direction from start to end. */
  leftSide: 1 | -1
  press: PressDirection[]
  divisions: Place[]
  locked: boolean
  patches: number[]
}

export interface CrossingShown {
  join: number
  seams: (number | null)[]
  at: Place
  text: [string, string]
  kind: Nesting
}

export interface JunctionShown {
  at: Place
  text: [string, string]
  patches: number
  peak: number
  /** Plies in 64 directions round the junction, clockwise from the right. */
  plies: number[]
}

export interface FlapShown {
  patch: number
  allowance: boolean
  turnedUp: boolean
  points: Place[]
}

export interface StepShown {
  do: 'join' | 'press' | 'lay-out'
  joins: number[]
  patches: number[]
  title: string
  text: string
}

/** What a step makes, as it lies after pressing. */
export interface StepPicture {
  patches: number[]
  flaps: FlapShown[]
}

export type Figures = PlanTotals & { thickest: number }

export type RestOfSeams = 'stays' | 'follows'

export interface PressShown {
  block: { id: number; name: string; version: number }
  face: FaceShown
  units: number
  joins: JoinShown[]
  crossings: CrossingShown[]
  junctions: JunctionShown[]
  /** From the lowest to the topmost as one looks at the back; places are still seen from the face. */
  flaps: FlapShown[]
  habits: { text: [string, string]; runsStraightOn: boolean }[]
  order: Order
  style: PressStyle
  totals: Figures
  withoutLocks: Figures
  locks: number
  rest: RestOfSeams
  steps: StepShown[]
  stepsDone: number
  proved: boolean
}

export type SeamChoices = Partial<Record<PressDirection, { figures: Figures; words: string }>>

export type Order = 'rows' | 'columns' | 'quarters' | 'diagonal' | 'around' | 'best'

export type PressStyle = 'nest' | 'nest-furl' | 'open' | 'dark' | 'mixed'

export interface StyleShown {
  style: PressStyle
  figures: Figures
  proved: boolean
}

export interface OrderFigures {
  joins: number
  matchPoints: number
  biasJoins: number
  longestJoin: string
  joinsToLearn: number | null
  chainBatches: number
  presses: number
}

export interface UnitClassShown {
  label: string
  name: string
  count: number
  twin: string | null
  lookAlikes: string[]
  patches: number[]
}

export interface PileNote {
  class: string
  text: string
}

/** The piles at the iron: what a second one would gain, those in two, and parts of one unit that could share one. */
export interface PilesShown {
  gains: PileNote[]
  twoPiles: PileNote[]
  equalParts: 'apart' | 'alike'
  parts: { label: string; count: number; patches: number }[]
}

export interface PileChoice {
  twoPiles?: string[]
  equalParts?: PilesShown['equalParts']
}

export interface OrderPossible {
  order: Order
  words: string
  figures: OrderFigures
  joins: { from: Place; to: Place; batch: number }[]
  strands: { depth: number; outline: Place[] }[]
  classes: UnitClassShown[]
  /** Parts that come more than once within one unit of patches. */
  parts: { label: string; count: number; patches: number[] }[]
}

export interface OrderImpossible {
  order: Order
  words: string
  problem: string
  patchesInTheWay: number[]
  /** The units that can be made all the same. */
  upToThere: UnitClassShown[]
}

export type OrderShown = OrderPossible | OrderImpossible

export interface OrdersShown {
  block: { id: number; name: string; version: number }
  chosen: Order
  face: FaceShown
  orders: OrderShown[]
}
