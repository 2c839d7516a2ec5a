import type { JoinShown, Place, PressDirection } from '@/api/types'

/** SVG wants "x,y x,y". */
export const pointsText = (places: Place[]): string => places.map(([x, y]) => `${x},${y}`).join(' ')

/** The same places as one sees them from the back. */
export const fromTheBack = (places: Place[], width: number): Place[] => places.map(([x, y]) => [round(width - x), y])

export interface Box {
  left: number
  top: number
  width: number
  height: number
}

/** The smallest upright rectangle round some places. */
export function boxRound(places: Place[]): Box {
  const [xs, ys] = [places.map((place) => place[0]), places.map((place) => place[1])]
  const [left, top] = [Math.min(...xs), Math.min(...ys)]
  return { left, top, width: Math.max(...xs) - left, height: Math.max(...ys) - top }
}

export interface Stretch {
  from: Place
  to: Place
  press: PressDirection
}

/**
 * The stretches of a join between its match points, each with the way it is pressed. A join pressed one way as a
 * whole still gets an arrow for every stretch.
 */
export function stretches(join: JoinShown): Stretch[] {
  const stops = [join.from, ...join.divisions, join.to]
  return stops.slice(1).map((to, i) => ({
    from: stops[i] as Place,
    to,
    press: (join.press[Math.min(i, join.press.length - 1)] ?? 'open') as PressDirection,
  }))
}

export const middle = ([ax, ay]: Place, [bx, by]: Place): Place => [(ax + bx) / 2, (ay + by) / 2]

/** Degrees clockwise from pointing right, of the arrow across a stretch toward where its allowances lie; null when open. */
export function pressAngle(join: Pick<JoinShown, 'leftSide'>, stretch: Stretch, seenFromBack: boolean): number | null {
  if (stretch.press === 'open') return null
  const along = Math.atan2(stretch.to[1] - stretch.from[1], stretch.to[0] - stretch.from[0])
  const clockwise = (stretch.press === 'left' ? 1 : -1) * join.leftSide
  const angle = along + (clockwise * Math.PI) / 2
  return degrees(seenFromBack ? Math.PI - angle : angle)
}

/** Where a direction word points for a seam, as an angle, whatever it is pressed now. */
export const directionAngle = (join: JoinShown, press: PressDirection, seenFromBack: boolean): number | null =>
  pressAngle(join, { from: join.from, to: join.to, press }, seenFromBack)

/** Round marks of a ruler that leave room for their figures. */
export function rulerMarks(length: number): { step: number; marks: number[] } {
  const step = [0.5, 1, 2, 3, 4, 5, 6, 10, 12, 20, 25, 50, 100, 200, 500].find((candidate) => length / candidate <= 8) ?? 1000
  return { step, marks: Array.from({ length: Math.floor(length / step + 1e-9) + 1 }, (_, i) => round(i * step)) }
}

/** Runs of equal numbers round a circle: where each is centred, and how wide it is, in turns from 0 to 1. */
export function plyRuns(plies: number[]): { plies: number; at: number; share: number }[] {
  const count = plies.length
  const start = plies.findIndex((value, i) => value !== plies[(i + count - 1) % count])
  if (start < 0) return count === 0 ? [] : [{ plies: plies[0] as number, at: 0.25, share: 1 }]
  const runs: { plies: number; at: number; share: number }[] = []
  let from = start
  for (let i = start + 1; i <= start + count; i += 1) {
    if (i < start + count && plies[i % count] === plies[from % count]) continue
    runs.push({ plies: plies[from % count] as number, at: (((from + i) / 2) % count) / count, share: (i - from) / count })
    from = i
  }
  return runs
}

const degrees = (radians: number): number => round((((radians * 180) / Math.PI) % 360 + 360) % 360)

const round = (value: number): number => Math.round(value * 1e4) / 1e4

/** The place so far on the way from one to the other. */
export const along = ([ax, ay]: Place, [bx, by]: Place, share: number): Place => [ax + (bx - ax) * share, ay + (by - ay) * share]

/** The place that is nearest to another, by its number; null where there is none. */
export function nearest(places: Place[], [x, y]: Place): { number: number; distance: number } | null {
  let found: { number: number; distance: number } | null = null
  places.forEach(([px, py], number) => {
    const distance = Math.hypot(px - x, py - y)
    if (found === null || distance < found.distance) found = { number, distance }
  })
  return found
}

/** The next place that way, straight ahead rather than aside; the same where there is none. */
export function nextPlace(places: Place[], from: number, [dx, dy]: Place): number {
  const here = places[from]
  if (here === undefined) return 0
  let best = { number: from, cost: Infinity }
  places.forEach(([x, y], number) => {
    const [ahead, aside] = [(x - here[0]) * dx + (y - here[1]) * dy, Math.abs((x - here[0]) * dy) + Math.abs((y - here[1]) * dx)]
    if (ahead > 1e-9 && aside <= ahead * 2 && ahead + aside * 4 < best.cost) best = { number, cost: ahead + aside * 4 }
  })
  return best.number
}

/** The id of the patch a place lies in, its outline included; null outside of all. */
export function patchAt(patches: { id: number; points: Place[] }[], [x, y]: Place): number | null {
  const isInside = (points: Place[]) => points.every(([ax, ay], i) => {
    const [bx, by] = points[(i + 1) % points.length] as Place
    return (bx - ax) * (y - ay) - (by - ay) * (x - ax) >= -1e-6
  })
  return patches.find((patch) => isInside(patch.points))?.id ?? null
}
