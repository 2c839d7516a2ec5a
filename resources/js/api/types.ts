import type { CrossingShown, JoinTold, JoinsShown, MeasuredChanged, PressAnswer, PressChanged as PressChangedTold } from './generated/screens'

export type * from './generated/screens'

/** What changed of a sheet: all of an entry, or of a long list those with these numbers. */
export type Changed<Sheet> = { [Name in keyof Sheet]?: { all: Sheet[Name] } | { at: Record<string, unknown> } }

export type PressChanged = Omit<PressChangedTold, 'changed'> & { changed: Changed<PressAnswer> }

export type JoinsChanged = Omit<MeasuredChanged, 'changed'> & { changed: Changed<JoinsShown> }

/** A seam as the press station draws it. */
export interface JoinShown extends Omit<JoinTold, 'pile'> {
  /** Ids of all joins pressed with this one, itself included. */
  pile: number[]
  locked: boolean
  /** A rule that is on speaks of it. */
  ruled: boolean
  /** At the iron already: the plan goes round it. */
  isPressed: boolean
}

/** A crossing as the press station draws it. */
export interface CrossingSeen extends CrossingShown {
  /** Open because she opened a seam there: no fault. */
  isMeant: boolean
}

export interface PressShown extends Omit<PressAnswer, 'joins' | 'crossings' | 'piles' | 'locked' | 'pressed'> {
  /** As the server told it. */
  told: PressAnswer
  joins: JoinShown[]
  crossings: CrossingSeen[]
}
