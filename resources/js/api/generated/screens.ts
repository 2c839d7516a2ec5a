// Generated from schema/screens.schema.json by `npm run types`. Do not edit.

/** Her own words for finding it. */
export type Tags = string[]
/** A place on the face in the block's unit of length, x to the right, y down. For drawing only. */
export type Place = [number, number]
export type PressDirection = 'left' | 'right' | 'open'
export type Nesting = 'nested' | 'stacked' | 'lopsided' | 'flat'
export type Pair = [string, string]
/** Layers of cloth at raw size, the lowest first. */
export type ClothShown = {
  fabric: string
  points: Place[]
  isBack: boolean
}[]
export type Chain = 'row-by-row' | 'webbed' | 'twos'
export type UnpickCause = 'turned' | 'wrong-hand' | 'missed-point' | 'pressed-wrong' | 'other'
export type HandMend = 'turn' | 'press' | 'swap' | 'seams' | 'remake'
export type RestOfSeams = 'stays' | 'follows'
/** The name of a regular order, or own: and the name of one of the quilter's. */
export type Order = string
export type PressStyle = 'nest' | 'nest-furl' | 'open' | 'dark' | 'mixed'
export type PixelPlace = [number, number]
export type OrderShown = OrderPossible | OrderImpossible
/** Row and column of a place on the wall, from 1. */
export type WallPlace = [number, number]
export type CornerName = 'tl' | 'tr' | 'br' | 'bl'
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
/** f for the figure, g for the ground, s for a second figure. */
export type Role = 'f' | 'g' | 's'
export type Axis = 'columns' | 'rows'
/** A change to the layout. */
export type WallEdit =
  | {
      do: 'place'
      kind: string
      places: WallPlace[]
      figure: string
      asOne?: true
    }
  | {
      do: 'lay'
      cells: {
        [k: string]: unknown
      }[]
    }
  | {
      turn: 0 | 90 | 180 | 270
      mirrored: boolean
      do: 'move' | 'lie'
      places: WallPlace[]
    }
  | {
      do: 'swap' | 'clear' | 'mend'
      places: WallPlace[]
    }
  | {
      do: 'label'
      places: WallPlace[]
      label: string | null
    }
  | {
      do: 'carry'
      places: WallPlace[]
      down: number
      right: number
    }
  | {
      do: 'paint'
      patch: number
      fabric: string
    }
  | {
      do: 'corner'
      places: WallPlace[]
      corner: CornerName
      /** Of a corner that was not flipped before. */
      fabric: string
      size?: string
    }
  | {
      do: 'add-line'
      axis: Axis
      before: number
      size?: string
    }
  | {
      do: 'remove-line'
      axis: Axis
      number: number
    }
  | {
      do: 'size-line'
      axis: Axis
      number: number
      size: string
    }
  | {
      do: 'size'
      width: string
      height: string
    }
  | {
      do: 'name'
      name: string
    }
  | {
      do: 'allowance'
      size: string
    }
  | {
      do: 'fabric'
      key?: string
      name: string
      color: string
      value?: 'light' | 'medium' | 'dark'
    }
  | {
      do: 'remove-fabric'
      key: string
      instead?: string
    }
  | {
      do: 'cut'
      places: WallPlace[]
      from: [string, string]
      to: [string, string]
      through?: true
    }
  | {
      do: 'sew-back'
      places: WallPlace[]
      patches: [number, number]
    }
  | {
      do: 'draw'
      places: WallPlace[]
      start: 'whole' | 'halves' | 'picture'
    }
  | {
      do: 'as-one'
    }
  | {
      do: 'group'
      places: WallPlace[]
    }
  | {
      do: 'open-out'
      places: WallPlace[]
    }
  | {
      do: 'corner-to'
      places: WallPlace[]
      corner: CornerName
      to: CornerName
    }
export type Margin = 'exact' | 'larger'
export type Build = 'alike' | 'as they come'
export type SpreadShown = SpreadDrawn | TooManyJoins

/** What the server tells its own screens, and what they may ask of it. Not an open format: it changes with the screens. "answers" names the shape of each address. */
export interface Screens {}
export interface TopPatch {
  fabric: string
  points: [number, number][]
}
export interface TopPlaceShown {
  row: string
  column: string
  at: [number, number]
  block: string | null
  fabric: string | null
  turn: 0 | 90 | 180 | 270
  mirrored: boolean
  /** What the edge leaves of a block; none where it is whole. */
  pieces: TopPatch[]
}
/** In the frame, whose axes run along the blocks' edges; on point what hangs is the frame turned by 45 degrees clockwise. */
export interface TopPicture {
  isOnPoint: boolean
  outline: [number, number][]
  fabrics: FabricShown[]
  blocks: {
    key: string
    width: number
    height: number
    patches: TopPatch[]
  }[]
  places: TopPlaceShown[]
  /** Sashes, cornerstones and plain sides. */
  pieces: TopPatch[]
  borders: {
    width: number
    fabric: string
    corners: string | null
  }[]
}
export interface FabricShown {
  key: string
  name: string
  color: string
  value: 'light' | 'medium' | 'dark'
}
export interface SashesShown {
  width: string
  fabric: string
  cornerstone: string | null
  outer: boolean
}
export interface SidesShown {
  fabric: string | null
  float: string
}
export interface BorderShown {
  width: string
  fabric: string
  square: string | null
}
export interface TopFields {
  units: 'in' | 'mm'
  setting: 'straight' | 'on-point'
  rows: number
  columns: number
  turns: 'fixed' | 'same-face' | 'any'
  piles: {
    block: string
    piles: number
  }[]
  sashes: SashesShown | null
  sides: SidesShown | null
  borders: BorderShown[]
}
export interface TopShown {
  /** What the planner leaves as it is; seams by where they lie. */
  holds: {
    places: {
      row: string
      column: string
    }[]
    piles: {
      pile: string
      seams: string[]
    }[]
    seams: string[]
  }
  sewing: {
    preference: string
    preferences: {
      preference: string
      words: string
    }[]
    order: string
    sashes: 'between' | 'first'
    chain: 'row-by-row' | 'webbed' | 'twos'
    orders: {
      order: string
      words: string
    }[]
  }
  id: number
  name: string
  version: number
  undo: string | null
  /** Its blocks that are otherwise on the shelf now. */
  changed: {
    key: string
    name: string
  }[]
  /** Blocks that break how the rest lie, and how they would have to lie. */
  odd: {
    symmetry: string
    places: {
      row: string
      column: string
      turn: 0 | 90 | 180 | 270
      mirrored: boolean
    }[]
  } | null
  picture: TopPicture
  fields: TopFields
  sizes: {
    block: string
    finished: string[]
    raw: string[]
  }
}
export interface TopOnShelf {
  tags: Tags
  /** When, in milliseconds since 1970. */
  touched: number
  id: number
  name: string
  places: number
  picture: TopPicture
}
export interface TopShelf {
  tops: TopOnShelf[]
  /** Kept, but this version cannot open them. */
  unopened: {
    id: number
    name: string
    problem: string
  }[]
  takenOff: NamedBlock[]
}
export interface NamedBlock {
  id: number
  name: string
}
export interface TopPileShown {
  name: string
  /** Where each seam lies, by join. */
  places: string[]
  block: string
  mirrored: boolean
  pile: number
  count: number
  face: FaceShown
  joins: JoinTold[]
  flaps: FlapShown[]
  rows: {
    title: string
    way: string
  }[]
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
export interface PatchShown {
  id: number
  fabric: string
  points: Place[]
}
/** As the server tells it; the screens put the piles beside each join. */
export interface JoinTold {
  id: number
  title: string
  /** What the left and the right part are called: "unit 1", "row 2", "Harbour ink". */
  left: string
  right: string
  /** Which of the piles it is pressed with, if there is more than itself in it. */
  pile: number | null
  /** Whether it is a seam inside a unit, not one of the block's own rows. */
  isOfUnit: boolean
  /** Of the block, in which the unit lies that it is a seam of. */
  cell: [number, number] | null
  /** Of the unit it lies in. */
  place: string | null
  from: Place
  to: Place
  /** 1 when the left part lies clockwise of the direction from start to end. */
  leftSide: 1 | -1
  press: PressDirection[]
  divisions: Place[]
  patches: number[]
}
export interface FlapShown {
  patch: number
  allowance: boolean
  turnedUp: boolean
  points: Place[]
}
export interface TopPlanShown {
  /** Where each of the seams lies. */
  seamPlaces: string[]
  picture: TopPicture
  /** Those that no block has by itself. */
  seams: JoinTold[]
  /** Along those seams. */
  crossings: CrossingShown[]
  sentences: string[]
  proved: boolean
  nestings: {
    nested: number
    stacked: number
  }
  /** How the blocks of each pile are pressed. */
  made: TopPileShown[]
  /** Items: turned: from how it is placed. */
  places: {
    row: string
    column: string
    turn: number
    turned: number
    pile: number
  }[]
}
export interface CrossingShown {
  join: number
  seams: (number | null)[]
  at: Place
  text: [string, string]
  kind: Nesting
}
export interface TopCuttingShown {
  /** How the units are made, all blocks together. */
  ways: {
    words: string
    spare: number
  }[]
  cuts: {
    fabric: string
    stack: string
    count: number
    shape: string
    size: string[]
    then: string
    for: string[]
  }[]
  cloth: {
    fabric: string
    length: string
    width: string
  }[]
}
export interface TopStepsShown {
  state: 'done' | 'working'
  steps: {
    title: string
    text: string
  }[]
}
export interface AskedShown {
  tops: AskedByTop[]
}
export interface AskedByTop {
  top: NamedBlock
  /** Whether the block is in the top as it is now. */
  isCurrent: boolean
  isPlanned: boolean
  piles: {
    count: number
    pile: number
    mirrored: boolean
    /** Those that end at the block's edge. */
    seams: {
      join: number
      directions: PressDirection[]
      /** Whether the block is pressed otherwise now. */
      differs: boolean
    }[]
  }[]
}
export interface TopPlaceNamed {
  row: string
  column: string
}
export interface TopSizesShown {
  /** Raw, as every block should be. */
  planned: string[]
  /** What the two measures are called, as the blocks lie. */
  edges: string[]
  made: {
    row: string
    column: string
    size: string[]
  }[]
  /** Each way to deal with it, and what it does to the points. */
  sentences: string[]
  swaps: {
    one: TopPlaceNamed
    other: TopPlaceNamed
  }[]
  afterSwaps: string | null
}
export interface TopJoinsShown {
  state: 'done' | 'working'
  borders: {
    title: string
    finished: string
  }[]
  joins: {
    id: number
    title: string
    finished: string
    points: number
  }[]
}
export interface TopLensShown {
  state: 'done' | 'working'
  junction: JunctionShown | null
  flaps: FlapShown[]
  width: number
  units: string
}
export interface JunctionShown {
  at: Place
  text: [string, string]
  patches: number
  peak: number
  /** Plies in 64 directions round the junction, clockwise from the right. */
  plies: number[]
}
export interface TopLooksShown {
  hands: string[]
  /** Places whose block could lie otherwise without the edge that is sewn telling it. */
  twice: TopPlaceNamed[]
}
export interface TopRulerShown {
  state: 'done' | 'working'
  join: JoinSheetShown | null
  face: FaceShown | null
}
export interface JoinSheetShown {
  id: number
  finished: string
  raw: Pair
  /** How far the raw edges go past the finished corner, at the start of the join and at its end. */
  reach: [ReachEntry, ReachEntry]
  ends_differ: string
  up: 'left' | 'right' | 'either'
  bias: 'none' | 'left' | 'right' | 'both'
  title: string
  leftName: string
  rightName: string
  /** How many joins of equal units are sewn like this one. */
  times: number
  /** Raw width and height of what it makes, as meant and as the quilter measured it. */
  meant: [string, string]
  measured: [string, string] | null
  patches: number[]
  notes: string[]
  /** Finished lengths of both edges, corner to corner, as they will really come out. */
  realLengths: [number, number]
  allowance: number
  /** The start of the join and its end: how far each part's raw edge reaches past the finished corner, and how its next side slants, along the seam to across it. */
  ends: [JoinEndShown, JoinEndShown]
  /** Which end goes under the needle first; null where they are alike. */
  firstIn: 0 | 1 | null
  /** From, to and fabric of every patch along the finished join, on each side. */
  edges: [[number, number, string][], [number, number, string][]]
  marks: MarkShown[]
  says: Sentence[]
}
export interface ReachEntry {
  left: string
  right: string
}
export interface JoinEndShown {
  name: string
  reach: [number, number]
  slant: [number, number]
  lay: 'level' | 'vee' | 'marked'
}
export interface MarkShown {
  at: Pair
  from_edge: Pair
  left: 'tip' | 'seam' | 'plain'
  right: 'tip' | 'seam' | 'plain'
  kind: 'match' | 'tip' | 'floating'
  nest: 'nested' | 'stacked' | 'lopsided' | 'flat' | null
  miss: string | null
  /** Where it lies on the left and the right edge, from the raw edge at the start of the join. */
  place: [number, number]
  /** What to do there. */
  do: string
  /** What would be turned up under the foot; '' if nothing. */
  feed: string
  verdict: 'leave' | 'ease' | 'unpick' | null
  /** What a miss asks for; '' if nothing. */
  misses: string
}
/** A sentence to show. wants: whether it is to be heeded, needs work, or is only good to know. */
export interface Sentence {
  text: string
  wants: 'care' | 'work' | 'nothing'
}
export interface TopOrderShown {
  problem: string | null
  matchPoints: number
  longestJoin: string
}
export interface TopStepShown {
  key: string
  do: string
  /** Where it is done: machine, iron, table. */
  at: string
  caution: string
  title: string
  text: string
  times: number
  counted: number
  /** Places of the picture that it is about, by their number there. */
  places: number[]
  /** Seams between parts of the top that it sews or presses. */
  seams: number[]
  part: 'cutting' | 'blocks' | 'top' | 'borders'
}
export interface TopWorkShown {
  /** The top as it is held: its blocks lie as the plan has turned them. */
  picture: TopPicture | null
  state: 'planning' | 'new' | 'going'
  /** The top was changed since its plan was held. */
  isChanged: boolean
  steps: TopStepShown[]
  next: number | null
  /** Places whose blocks are sewn. */
  wholes: number[]
  seams: {
    from: number[]
    to: number[]
    isSewn: boolean
  }[]
  /** Whether there is a deed to take back. */
  back: boolean
}
export interface TopPlanned {
  state: 'done' | 'working'
  plan: TopPlanShown | null
  /** Seconds searched, of at most so many. */
  done: number
  most: number
}
/** What the house does the same way over all blocks. */
export interface HouseShown {
  units: 'in' | 'mm'
  margin: 'larger' | 'exact'
  paper: 'letter' | 'a4'
  /** Marks of the ruler to the inch. */
  marks_in: number
  marks_mm: number
  allowance_in: string
  allowance_mm: string
}
/** Names of what is measured otherwise now, of that what kept its size though others did not, and what could not be. */
export interface HouseSwitched {
  switched: string[]
  sameSize: string[]
  left: string[]
}
export interface TagsKept {
  tags: Tags
}
export interface ShelfBlock {
  id: number
  name: string
  version: number
  units: number
  /** One size when square, else width and height. */
  finished: string[]
  unit: 'in' | 'mm'
  /** In inches, for sorting. */
  width: number
  height: number
  fabrics: string[]
  /** Where its face is, as an image. */
  picture: string
  tags: Tags
  /** When, in milliseconds since 1970. */
  touched: number
  stepsDone: number
  stepsInAll: number | null
  /** The station where its work stopped. */
  stoppedAt: 'wall' | 'cut' | 'order' | 'press' | 'machine'
  /** What of the plan of a file that came in fits nothing of the block, in sentences. */
  leftOut?: string[]
}
export interface ShelfShown {
  blocks: ShelfBlock[]
  /** Kept, but this version cannot open them. */
  unopened: {
    id: number
    name: string
    problem: string
  }[]
  /** The last one taken off first. */
  takenOff: NamedBlock[]
}
/** Names of the blocks in a file of everything: put on the shelf, there already, and not to be opened. */
export interface BroughtBack {
  brought: string[]
  already: string[]
  refused: string[]
}
export interface BlockTold {
  id: number
  name: string
  version: number
}
export interface StepShown {
  do: 'join' | 'press' | 'lay-out'
  joins: number[]
  patches: number[]
  title: string
  text: string
}
/** Pieces to take, in the order in which they are sewn to each other, with the seam between each and the next. */
export interface TakeShown {
  pieces: number[][]
  /** The patches of each piece, out to its raw edge. */
  raw: PatchShown[][]
  seams: {
    from: Place
    to: Place
  }[]
}
export interface StepPicture {
  /** How what the step does lies on the table, where the pieces are not in the shape of the patches yet. */
  stages: StageShown[]
  /** Crossings at which the step furls a seam; clockwise: how each allowance is laid from its seam, as one looks at the back. */
  furls: {
    at: Place
    text: [string, string]
    clockwise: boolean
  }[]
  /** What the step makes, as it lies after pressing: one of each kind. size: raw width and height it must have, where that is known; raw: its patches out to the raw edge, empty where the step makes nothing. */
  shown: {
    patches: number[]
    raw: PatchShown[]
    flaps: FlapShown[]
    size: [string, string] | null
  }[]
  takes: TakeShown[]
  ruler: JoinSheetShown | null
  /** ratio: width to height of the unit's cell; patch: one of the unit's. */
  lookTwice: {
    row: number
    column: number
    ratio: number
    patch: number
    side: 'top' | 'right' | 'bottom' | 'left' | null
    right: UnitPicture[]
    wrong: {
      placement: PlacementEntry
      patches: UnitPicture[]
      ring: Place | null
    }[]
  }[]
}
export interface StageShown {
  do: 'lay' | 'mark' | 'sew' | 'cut' | 'open' | 'press' | 'trim' | 'turn'
  words: string
  /** What lies there; lines are drawn on the first. */
  things: ClothShown[]
  marks: [Place, Place][]
  stitches: [Place, Place][]
  knives: [Place, Place][]
}
export interface UnitPicture {
  fabric: string
  points: Place[]
}
export interface PlacementEntry {
  turn: 0 | 90 | 180 | 270
  mirrored: boolean
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
export interface LookTwiceShown {
  side: 'top' | 'right' | 'bottom' | 'left' | null
  right: UnitPicture[]
  wrong: {
    placement: PlacementEntry
    patches: UnitPicture[]
    ring: Place | null
  }[]
  /** Width to height of the cell. */
  ratio: number
}
export interface WorkStep {
  key: string
  do: 'cut' | 'mark' | 'join' | 'cut-apart' | 'press' | 'square-up' | 'lay-out' | 'check' | 'measure'
  place: string
  title: string
  text: string
  caution: string
  /** How often it is done in all, and how often it is due: fewer after an unpick. */
  times: number
  due: number
  /** How many of those were counted. */
  counted: number
  joins: number[]
  /** Joins still to be sewn or pressed: fewer than all after an unpick. */
  open: number[]
  patches: number[]
  size: [string, string] | null
  isDone: boolean
}
/** How far some steps are now. */
export interface WorkChanged {
  steps: {
    key: string
    due: number
    /** How many of those were counted. */
    counted: number
    /** Joins still to be sewn or pressed: fewer than all after an unpick. */
    open: number[]
    isDone: boolean
  }[]
  /** Whether it tells of all of them. */
  isWhole: boolean
  sewn: number[]
  opened: number[]
  mark: string
  plan: string
  pausedAt: number | null
  said: {
    id: string
    of: string
    message: string
    isRefused: boolean
  }[]
}
export interface WorkShown {
  steps: WorkStep[]
  sewn: number[]
  /** Another text where anything is further than this, or less far. */
  mark: string
  /** Another text where any seam is pressed otherwise. */
  plan: string
  /** How many are made of this block at once. */
  blocks: number
  chain: Chain
  /** When the work was put down, in milliseconds; null while it goes on. */
  pausedAt: number | null
}
/** One key at the machine, as it is kept until the server has it. */
export interface WorkEvent {
  id: string
  do: 'done' | 'counted' | 'back' | 'otherwise' | 'measured' | 'unpicked' | 'paused' | 'resumed'
  at: number
  step?: string
  width?: string
  height?: string
  join?: number
  cause?: UnpickCause
  /** In the quilter's own words. */
  reason?: string
  /** In how many of several blocks a seam is unpicked. */
  blocks?: number
  /** How many pieces of a half-sewn step, or units of the wrong hand. */
  count?: number
  /** Label of the kind of unit whose pile is of the wrong hand. */
  unit?: string
  how?: HandMend
}
/** Units that are sewn and still lie loose, and the ways to mend a pile of them that is of the wrong hand, the least work first. */
export interface HandsShown {
  piles: {
    label: string
    name: string
    /** Over all blocks. */
    loose: number
  }[]
  mends: {
    how: HandMend
    words: string
  }[]
}
export interface UnpickCost {
  /** That the opened seams take in, each with its place. */
  units: string[]
  seams: string[]
  minutes: number
  isOwnPace: boolean
}
export interface Figures {
  thickest: number
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
/** What changed of a sheet, by the name of the entry: all of it, or of a long list those with these numbers. */
export interface ChangedEntries {
  [k: string]:
    | {
        all: unknown
      }
    | {
        at: {
          [k: string]: unknown
        }
      }
}
export interface PressChanged {
  /** The plan of which it is told what changed. */
  from: string
  changed: ChangedEntries
  block: BlockTold
  /** Another text where anything of the plan is otherwise. */
  plan: string
  withoutLocks: Figures
  /** No plan is better, of those with the same locks. */
  proved: boolean
  /** What is known of the plan beside the best there can be. */
  says: string
  /** The search for a better one, while it is not at its end. */
  planning: PlanningShown | null
  locks: number
  /** Locks whose seams are not there as the block is drawn now. */
  locksAsleep: number
  locked: number[]
  /** At the iron already: the plan goes round them. */
  pressed: number[]
  rules: RuleTold[]
  /** Seams that a rule speaks of which is on. */
  ruled: number[]
  /** Whether her locks and rules are followed. */
  ownWay: boolean
  lump: number
  undo: string | null
  redo: string | null
  rest: RestOfSeams
  stepsDone: number
  seamsSewn: number
  order: Order
  style: PressStyle
}
/** A search for a plan, by its key: seconds of at most so many, and how many better ones were found; or sheets that are made, so many of all. */
export interface PlanningShown {
  key: string
  what: 'plan' | 'sheet' | 'paper'
  state: 'idle' | 'waiting' | 'working' | 'proved' | 'stopped' | 'ended' | 'failed' | 'lost'
  done: number
  most: number
  found: number
}
export interface RuleTold {
  /** As it is kept and sent. */
  text: string
  on: boolean
  words: string
  joins: number
  /** Why it fits no seam now. */
  problem: string | null
}
export interface RowTold {
  title: string
  way: string
  why: string | null
  joins: number[]
  /** A rule for this row alone, with % for the way. */
  say: string
}
/** What can be pointed at to make a rule; a rule is the subject, a colon and a way. */
export interface RuleSubject {
  subject: string
  words: string
  joins: number[]
}
export interface RulePriced {
  rule: string
  words: string
  joins: number[]
  figures: Figures
  besideNow: string
  besidePlanned: string
}
/** What opening seams comes to in a block of this size. */
export interface OpenedTold {
  short: number[]
  near: [number, number][]
  /** Per cent. */
  covered: number
  words: string[]
}
export interface LockAsked {
  join: number
  directions: PressDirection[]
}
export interface CureShown {
  words: string
  /** Layers at the crossing then. */
  after: number
  costs: string
  warning: string | null
  locks: LockAsked[]
  twoPiles: string[] | null
}
export interface AdviceShown {
  lump: number
  crossings: {
    at: Place
    text: [string, string]
    patches: number
    peak: number
    cures: CureShown[]
  }[]
  wings: {
    words: string
    options: {
      words: string
      costs: string
      locks: LockAsked[]
    }[]
  }[]
  habit: string | null
}
export interface WayFigures {
  figures: Figures
  proved: boolean
}
export interface CrossingThen {
  kind: Nesting | null
  peak: number
}
export interface BesideShown {
  own: WayFigures
  planned: WayFigures
  words: string
  crossings: {
    at: Place
    text: [string, string]
    own: CrossingThen
    planned: CrossingThen
  }[]
}
/** A crossing at which the allowances cannot turn, and how the seams that meet there would have to lie. */
export interface TurnNotPossible {
  at: Place
  text: [string, string]
  needs: {
    join: number
    press: PressDirection
  }[]
}
/** Made pictures that were guessed at, and on how many the quilter and the program found what lay wrong. */
export interface LookingCounts {
  taken: number
  yours: number
  program: number
}
/** A unit on a photograph: verdict null while a lesson is not guessed; corners of the finished unit in pixels, the upper left as it hangs first. */
export interface PhotoCell {
  row: number
  column: number
  name: string
  verdict: 'as drawn' | 'turned' | 'mirrored' | 'another unit' | 'unsure' | null
  turn: 0 | 90 | 180 | 270
  mirrored: boolean
  corners: [PixelPlace, PixelPlace, PixelPlace, PixelPlace]
  patches: number[]
  words: string
  isIgnored: boolean
}
export interface PhotoShown {
  block: BlockTold
  face: FaceShown
  picture: {
    address: string
    width: number
    height: number
  } | null
  corners: PixelPlace[] | null
  problem: string | null
  lesson: {
    isOver: boolean
    guess: {
      row: number
      column: number
    } | null
    planted: {
      row: number
      column: number
    }[]
  } | null
  cells: PhotoCell[]
  says: string
  alike: string[]
  lessons: LookingCounts
}
/** What a file or a drawing holds; file is what is sent to be kept. */
export interface FilePreviewed {
  kind: 'block' | 'top'
  name: string
  units: 'in' | 'mm'
  finished: string[]
  picture: string
  says: string[]
  file: string
}
/** Where the sheets lie that were asked for, and for which paper they are made. */
export interface PaperReady {
  address: string
  paper: 'letter' | 'a4'
}
export interface MeasuredChanged {
  block: BlockTold
  tests: {
    id: number
    words: string
    takeUp: string
    notes: string
    date: string
  }[]
  changed: ChangedEntries
}
/** The stations on the line of stitching. */
export interface RailShown {
  stations: {
    name: string
    word: string
    note: string
    isDone: boolean
  }[]
}
/** The plan for the press station: piles once, and which seams are locked or pressed beside the joins. */
export interface PressAnswer {
  /** Another text where anything of the plan is otherwise. */
  plan: string
  block: BlockTold
  face: FaceShown
  units: number
  joins: JoinTold[]
  /** Ids of all joins that are pressed alike. */
  piles: number[][]
  locked: number[]
  /** At the iron already: the plan goes round them. */
  pressed: number[]
  rules: RuleTold[]
  /** Seams that a rule speaks of which is on. */
  ruled: number[]
  /** Whether her locks and rules are followed. */
  ownWay: boolean
  lump: number
  undo: string | null
  redo: string | null
  rows: RowTold[]
  subjects: RuleSubject[]
  opened: OpenedTold
  /** The school that suits this block, and why. */
  proposal: {
    style: PressStyle
    words: string
  }
  lookAlikes: string[]
  crossings: CrossingShown[]
  junctions: JunctionShown[]
  /** From the lowest to the topmost as one looks at the back; places are still seen from the face. */
  flaps: FlapShown[]
  habits: {
    text: [string, string]
    runsStraightOn: boolean
  }[]
  order: Order
  style: PressStyle
  totals: Figures
  withoutLocks: Figures
  locks: number
  rest: RestOfSeams
  steps: StepShown[]
  stepsDone: number
  seamsSewn: number
  /** No plan is better, of those with the same locks. */
  proved: boolean
  /** What is known of the plan beside the best there can be. */
  says: string
  /** The search for a better one, while it is not at its end. */
  planning: PlanningShown | null
  /** Locks whose seams are not there as the block is drawn now. */
  locksAsleep: number
}
export interface SeamChoices {
  left?: {
    figures: Figures
    words: string
  }
  right?: {
    figures: Figures
    words: string
  }
  open?: {
    figures: Figures
    words: string
  }
}
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
  /** Its class, where others are called the same. */
  tag: string
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
  parts: {
    label: string
    count: number
    patches: number
  }[]
}
export interface PileChoice {
  twoPiles?: string[]
  equalParts?: 'apart' | 'alike'
}
export interface OrderPossible {
  /** Words of an order before it that comes out the same. */
  sameAs: string | null
  /** Of one's own order, its nested pairs; else null. */
  sew: {
    [k: string]: unknown
  }
  order: Order
  words: string
  figures: OrderFigures
  joins: {
    from: Place
    to: Place
    batch: number
  }[]
  strands: {
    depth: number
    outline: Place[]
  }[]
  classes: UnitClassShown[]
  /** Parts that come more than once within one unit of patches. */
  parts: {
    label: string
    count: number
    patches: number[]
  }[]
}
/** An order of one's own as it grows. */
export interface GrowingShown {
  /** What still stands apart. */
  parts: {
    /** Nested lists of two, down to texts. */
    sew: {
      [k: string]: unknown
    }
    outline: Place[]
    patches: number[]
    /** Whether it is a unit that can be taken apart into its patches. */
    opens: boolean
  }[]
  figures: OrderFigures
  done: boolean
}
export interface OrderImpossible {
  order: Order
  words: string
  problem: string
  patchesInTheWay: number[]
  /** The units that can be made all the same. */
  upToThere: UnitClassShown[]
}
export interface OrdersShown {
  block: BlockTold
  chosen: Order
  /** Whether she chose it herself. */
  isDecided: boolean
  face: FaceShown
  orders: OrderShown[]
}
export interface WallFabric {
  key: string
  name: string
  color: string
  value: 'light' | 'medium' | 'dark'
  /** What the colour looks like by itself. */
  proposed: 'light' | 'medium' | 'dark'
  /** The name of its picture, if it has one. */
  swatch: string | null
}
export interface WallCell {
  row: number
  column: number
  rowSpan: number
  columnSpan: number
  kind: string
  name: string
  turn: 0 | 90 | 180 | 270
  mirrored: boolean
  label: string | null
  patches: number[]
  signature: string
  hand: 'left' | 'right' | null
  odd: {
    mend: PlacementEntry | null
    isMeant: boolean
  } | null
  different: string | null
  /** Finished legs of flipped corners as they are seen; null for other kinds. */
  corners: {
    tl?: string
    tr?: string
    br?: string
    bl?: string
  } | null
  /** The cell as a block file writes it, for copying. */
  entry: {
    [k: string]: unknown
  }
}
export interface WallLine {
  size: string
  width: number
}
export interface WallShown {
  block: BlockTold
  history: {
    undo: string | null
    redo: string | null
  }
  face: {
    fabrics: WallFabric[]
    width: number
    height: number
    units: 'in' | 'mm'
    allowance: number
    /** One text when square, else width and height. */
    finished: string[]
    unfinished: string[]
    patches: PatchShown[]
  }
  /** Small grids that are open, from the outside in: "2.3/1.1". */
  path: string
  /** The block's number of the first patch here. */
  firstPatch: number
  columns: WallLine[]
  rows: WallLine[]
  cells: WallCell[]
  /** The ground and the second figure of a unit from the tray, by its figure. */
  trios: {
    [k: string]: [string, string]
  }
  symmetry: {
    name: Symmetry
    words: string
  }
  hands: {
    class: string
    plural: string
    left: number
    right: number
  }[]
  awkward: string[]
  friendly: [string, string][]
  allowance: string
  hasPicture: boolean
  wholeDifference: string | null
  order: Order
  style: PressStyle
  /** Of the block as a whole. */
  says: Sentence[]
  /** The fabric of a unit's figure where none is chosen. */
  firstFigure: string
  /** How often the small grid that is open is there; 0 for the block itself. */
  alike: number
  /** Whole sets that point one way, which may be meant. */
  asks: {
    words: string
    places: WallPlace[]
    /** Whether they point out now. */
    isOut: boolean
  }[]
}
export interface WallFigures {
  version: number
  patches: number
  units: {
    class: string
    count: number
    name: string
    hand: 'left' | 'right' | null
    /** Its class, where others are called the same. */
    tag: string
  }[]
  figures: {
    thickest: number
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
  lookTwice: WallPlace[]
  lookTwiceSays: string
}
export interface TrayKind {
  kind: string
  name: string
  /** Width to height of the cell it is meant for. */
  ratio: number
  patches: {
    role: Role
    points: Place[]
  }[]
}
export interface StartsShown {
  tray: TrayKind[]
  follows: FollowShown[]
  /** The quilter's own. */
  own: TrayKind[]
}
export interface FollowShown {
  name: Symmetry
  words: string
  /** What is said before, of a left and of a right unit. */
  otherHand: {
    left: string
    right: string
  }
}
export interface NewBlock {
  name: string
  start: string
  columns: string
  rows: string
  width: string
  height: string
  units: 'in' | 'mm'
  figure?: 'dark' | 'light'
}
export interface WayPiece {
  fabric: string
  exact: string
  /** As it is cut, and the letter of its stack. */
  size: string
  letter: string
  /** Whether this one is cut larger now. */
  isLarger: boolean
  count: number
  shape: string
  /** How it is cut on, '' when it stays whole. */
  then: string
}
export interface WayShown {
  key: string
  words: string
  /** Null when this way never makes a hand that is needed. */
  batches: number | null
  /** Spare ones of the hand, or the build, that is not wanted. */
  wrongHand: number
  pieces: WayPiece[]
  /** Of the way that is chosen. */
  stages: StageShown[]
  note: string
  bonus: string
  /** What it leaves over and how much cloth it takes, for the list of ways. */
  over: string
}
export interface UnitToMake {
  class: string
  unit: string
  name: string
  finished: [string, string]
  unfinished: [string, string]
  need: number
  mirrored: number
  method: string
  batches: number
  makes: number
  spare: number
  look_alike: string[]
  patches: UnitPicture[]
  halves: [string, string]
  /** The unit with the ruler on it; places are shares of the raw size. */
  ruler: {
    width: number
    height: number
    allowance: number
    guides: [Place, Place][]
    tip: Place | null
    words: string
    isFlush: boolean
  }
  ways: WayShown[]
  /** Chosen for this unit; null where the house's habit holds. */
  margin: Margin | null
  half_made: number
  build: Build
  /** Whether the way gives units that look the same and are built as mirror images. */
  canComeEitherWay: boolean
  /** What it is a part of. */
  partOf: string | null
  /** Width to height. */
  ratio: number
  isDone: boolean
  yields: {
    own: number
    mirror: number
    look_alike: number
  }
  /** What the chosen way leaves over. */
  says: Sentence[]
  /** Its class, where others are called the same. */
  tag: string
}
export interface CutShown {
  name: string
  letter: string
  fabric: string
  shape: string
  size: string
  count: number
  /** Once all are cut further. */
  pieces: number
  then: string
  bias: string
  for: string[]
  margin: Margin
  /** Of the pieces, how many are cut the other way round. */
  mirrored: number
  /** How to save work and cloth in cutting them. */
  how: string
  /** Of a template, right side up, its grain level. */
  outline: Place[] | null
  sides: string[]
  isDone: boolean
}
export interface FabricPacked {
  fabric: string
  length: string
  buy: string
  isProved: boolean
  bound: string
  width: number
  strips: {
    height: number
    text: string
    pieces: {
      letter: string
      width: number
      height: number
    }[]
  }[]
}
export interface CuttingChoices {
  blocks: number
  preference: string
  ways: {
    [k: string]: string
  }
  builds: {
    [k: string]: Build
  }
  margins: {
    [k: string]: Margin
  }
  /** By the stack's letter. */
  stacks: {
    [k: string]: Margin
  }
  width: string | null
  marks: number | null
}
export interface CuttingShown {
  block: BlockTold
  choices: CuttingChoices
  preferences: {
    preference: string
    words: string
  }[]
  width: string
  face: FaceShown
  units: UnitToMake[]
  cuts: CutShown[]
  /** Letters of stacks that are easily mixed up. */
  mixedUp: [string, string][]
  fabric: FabricPacked[]
  /** What is left over of all units. */
  over: string[]
}
export interface SizedUnit {
  class: string
  name: string
  count: number
  unfinished: string
  pieces: string[]
}
export interface LargestShown {
  finished: [string, string] | null
  units: SizedUnit[]
  trim: {
    fabric: string
    size: string
    off: string
  }[]
}
export interface AtSize {
  finished: [string, string]
  problem: string
  isOnRuler: boolean
  /** Widths near this one that cut well. */
  nearest: string[]
  pieces: {
    letter: string
    fabric: string
    count: number
    shape: string
    size: string
    then: string
    for: string[]
  }[]
  units: SizedUnit[]
}
export interface PrecutShown {
  fabric: string
  needed: number
  tooLarge: string[]
}
export interface JoinsShown {
  block: BlockTold
  face: FaceShown
  takeUp: string
  isMeasured: boolean
  /** Largest miss that is left alone, and largest that is eased. */
  leave: string
  ease: string
  squareUp: 'units' | 'none'
  joins: JoinSheetShown[]
  raw: {
    unfinished: [string, string]
    expected: [string, string]
  }
  effect: string
  /** Tips at the block's outer edge, one allowance inside the raw one. */
  edgeTips: number
  /** The least work that lets everything be eased; '' when nothing needs it. */
  remedy: string
  tests: {
    id: number
    words: string
    takeUp: string
    notes: string
    date: string
  }[]
  /** What to change at the machine, right after a seam test. */
  advice?: string
  /** The first join of each that are sewn alike, those that want most care first. */
  care: number[]
}
export interface SeamTestGiven {
  strips: number
  width: string
  measured: string
  notes: string
}
export interface SpreadDrawn {
  joins: {
    [k: string]: number
  }
  block: number
  error: number
  runs: number
  better: {
    words: string
    chance: number
  }[]
}
export interface TooManyJoins {
  /** Set when there are too many joins to draw for. */
  tooMany: number
}
export interface LogbookShown {
  looking: LookingCounts
  /** null: of all blocks. */
  block: {
    id: number
    name: string
  } | null
  units: 'in' | 'mm'
  time: {
    place: string
    seconds: number
  }[]
  seamsSewn: number
  /** Of one in the middle of all; null before there are enough. */
  secondsForASeam: number | null
  made: {
    name: string
    count: number
  }[]
  causes: {
    words: string
    count: number
  }[]
  /** The newest first; at in milliseconds. */
  unpicks: {
    at: number
    block: string
    why: string
    title: string
    seams: number
  }[]
  sizes: {
    at: number
    block: string
    title: string
    size: [string, string]
    meant: [string, string]
    units: 'in' | 'mm'
    off: string
    isLarge: boolean
  }[]
  /** The oldest first; from a seam test, or from a part that was measured. */
  takeUps: {
    at: number
    text: string
    value: number
    ideal: number | null
    isTest: boolean
  }[]
  lessons: string[]
}
export interface SeamsChosen {
  takeUp?: string
  squareUp: 'units' | 'none'
  leave?: string
  ease?: string
}
export interface StylesShown {
  styles: StyleShown[]
  /** How many seams are pressed already: every school goes round them. */
  pressed: number
}
export interface ChoicesShown {
  choices: SeamChoices
}
export interface OrderChosen {
  order: Order
  version: number
}
export interface SizesShown {
  sizes: AtSize[]
}
export interface PrecutsShown {
  fabrics: PrecutShown[]
}
export interface PatternChecked {
  findings: string[]
  lines: number
}
/** The seams are being planned: ask again. */
export interface StillPlanning {
  planning: PlanningShown
}
/** Why a thing was refused, in words to show; where in a file, if it is about one. */
export interface Problem {
  code: string
  message: string
  where: string
  turn?: TurnNotPossible
}
export interface OwnTrayShown {
  own: TrayKind[]
}
/** A place to cut from or to: shares of the cell, and where that is on it. */
export interface DrawingMark {
  x: string
  y: string
  at: Place
}
/** One cell, large, in finished lengths from its upper left corner. */
export interface DrawingShown {
  row: number
  column: number
  width: number
  height: number
  /** Finished. */
  size: [string, string]
  patches: PatchShown[]
  marks: DrawingMark[]
  /** In the order they are sewn. */
  seams: {
    from: Place
    to: Place
  }[]
  /** Why straight seams cannot build it. */
  problem: string | null
  inTheWay: number[]
}
export interface StartPictures {
  /** What they come to. */
  columns: string
  rows: string
  /** Sizes near this one that cut well; none where this one does. */
  fits: [string, string][]
  starts: {
    start: string
    words: string
    /** Null where the grid is too fine to be drawn here. */
    face: FaceShown | null
  }[]
}
export interface CopyAsked {
  name: string
  width: string
  height: string
}
