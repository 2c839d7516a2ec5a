import { describe, expect, it } from 'vitest'
import { boxRound, directionAngle, fromTheBack, plyRuns, pressAngle, rulerMarks, stretches } from '@/drawing/geometry'
import { join } from './drawn'

describe('stretches', () => {
  it('gives every stretch between match points an arrow of its own', () => {
    const long = join({ from: [0, 2], to: [6, 2], divisions: [[2, 2], [4, 2]], press: ['right', 'right', 'right'] })
    expect(stretches(long)).toEqual([
      { from: [0, 2], to: [2, 2], press: 'right' },
      { from: [2, 2], to: [4, 2], press: 'right' },
      { from: [4, 2], to: [6, 2], press: 'right' },
    ])
  })
})

describe('pressAngle', () => {
  const down = { from: [2, 0] as [number, number], to: [2, 2] as [number, number] }

  it('points to the part the allowances lie under, seen from the face', () => {
    // From top to bottom, clockwise of the direction is to the left on the face.
    expect(pressAngle(join(), { ...down, press: 'left' }, false)).toBe(180)
    expect(pressAngle(join(), { ...down, press: 'right' }, false)).toBe(0)
  })

  it('points the other way from the back', () => {
    expect(pressAngle(join(), { ...down, press: 'left' }, true)).toBe(0)
  })

  it('does not change up and down from the back', () => {
    const level = join({ from: [0, 2], to: [4, 2], leftSide: -1 })
    expect(directionAngle(level, 'left', false)).toBe(270)
    expect(directionAngle(level, 'left', true)).toBe(270)
    expect(directionAngle(level, 'right', true)).toBe(90)
  })

  it('points nowhere when open', () => {
    expect(pressAngle(join(), { ...down, press: 'open' }, true)).toBeNull()
  })
})

describe('fromTheBack', () => {
  it('mirrors left to right and back again', () => {
    expect(fromTheBack([[1, 2]], 12)).toEqual([[11, 2]])
    expect(fromTheBack(fromTheBack([[1.25, 2]], 12), 12)).toEqual([[1.25, 2]])
  })
})

describe('rulerMarks', () => {
  it.each([
    [12, 2],
    [8, 1],
    [3, 0.5],
    [300, 50],
  ])('of %d has a mark every %d', (length, step) => {
    const ruler = rulerMarks(length)
    expect(ruler.step).toBe(step)
    expect(ruler.marks.length).toBeLessThanOrEqual(9)
    expect(ruler.marks[0]).toBe(0)
  })
})

describe('plyRuns', () => {
  it('joins equal neighbours, over the end of the list too', () => {
    expect(plyRuns([1, 1, 7, 7, 7, 7, 1, 1])).toEqual([
      { plies: 7, at: 0.5, share: 0.5 },
      { plies: 1, at: 0, share: 0.5 },
    ])
  })

  it('knows a circle of one number', () => {
    expect(plyRuns([4, 4, 4, 4])).toEqual([{ plies: 4, at: 0.25, share: 1 }])
  })
})

describe('boxRound', () => {
  it('is the smallest upright rectangle', () => {
    expect(boxRound([[3, 1], [1, 4], [2, 2]])).toEqual({ left: 1, top: 1, width: 2, height: 3 })
  })
})
