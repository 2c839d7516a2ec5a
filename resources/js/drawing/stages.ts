import type { ClothShown, Place } from '@/api/types'
import { boxRound } from './geometry'

/** More things than this lie there alike; the rest is not drawn. */
const MOST = 4

export interface LaidApart {
  patches: ClothShown
  width: number
  height: number
  /** What was the first thing's own 0, 0 before it was laid: lines drawn on it are moved by so much. */
  origin: Place
}

/** How far what is laid on top is moved to the side, as a share of the thing, so that what lies below is seen. */
const ASIDE = 0.07

/** Things side by side, two in a row, each at its own true size; those just laid show a rim of what is below. */
export function laidApart(all: ClothShown[], isJustLaid = false): LaidApart {
  const things = isJustLaid ? all.map(moved) : all
  const boxes = things.slice(0, MOST).map((thing) => boxRound(thing.flatMap((patch) => patch.points)))
  const cell = { width: Math.max(0, ...boxes.map((box) => box.width)), height: Math.max(0, ...boxes.map((box) => box.height)) }
  const gap = 0.12 * Math.max(cell.width, cell.height)
  const across = boxes.length > 1 ? 2 : 1
  const patches = things.slice(0, MOST).flatMap((thing, i) => {
    const [left, top] = [(i % across) * (cell.width + gap), Math.floor(i / across) * (cell.height + gap)]
    const box = boxes[i] ?? { left: 0, top: 0 }
    return thing.map((patch) => ({ ...patch, points: patch.points.map(([x, y]): Place => [x - box.left + left, y - box.top + top]) }))
  })
  const down = Math.ceil(boxes.length / across)
  return {
    patches,
    width: across * cell.width + (across - 1) * gap,
    height: Math.max(1, down) * cell.height + Math.max(0, down - 1) * gap,
    origin: [boxes[0]?.left ?? 0, boxes[0]?.top ?? 0],
  }
}

function moved(thing: ClothShown): ClothShown {
  const below = thing.filter((patch) => !patch.isBack)
  if (below.length === 0) return thing
  const box = boxRound(below.flatMap((patch) => patch.points))
  const aside = ASIDE * Math.max(box.width, box.height)
  return thing.map((patch) => (patch.isBack ? { ...patch, points: patch.points.map(([x, y]): Place => [x + aside, y + aside]) } : patch))
}
