import type { TopPicture, TopPlaceShown } from '@/api/types'

export type Corner = number[]

type Matrix = [number, number, number, number, number, number]

const HALF = Math.SQRT1_2

/** From the frame to what hangs: on point turned by 45 degrees clockwise. */
export const hangingMatrix = (isOnPoint: boolean): Matrix => (isOnPoint ? [HALF, HALF, -HALF, HALF, 0, 0] : [1, 0, 0, 1, 0, 0])

export const applied = ([a, b, c, d, e, f]: Matrix, [x = 0, y = 0]: Corner): [number, number] => [a * x + c * y + e, b * x + d * y + f]

export const matrixText = (matrix: Matrix) => `matrix(${matrix.map((one) => Number(one.toFixed(6))).join(' ')})`

/** How a block that is drawn upright comes to lie in its place: flipped left to right or not, then turned clockwise. */
export function placeMatrix(place: Pick<TopPlaceShown, 'at' | 'turn' | 'mirrored'>, width: number, height: number): Matrix {
  const [x = 0, y = 0] = place.at
  const flip = place.mirrored ? -1 : 1
  const shift = place.mirrored ? width : 0
  switch (place.turn) {
    case 90:
      return [0, flip, -1, 0, x + height, y + shift]
    case 180:
      return [-flip, 0, 0, -1, x + width - shift, y + height]
    case 270:
      return [0, -flip, 1, 0, x, y + width - shift]
    default:
      return [flip, 0, 0, 1, x + shift, y]
  }
}

export interface Box {
  left: number
  top: number
  width: number
  height: number
}

/** Round what hangs, without borders. */
export function hangingBox(picture: Pick<TopPicture, 'isOnPoint' | 'outline'>): Box {
  const corners = picture.outline.map((corner) => applied(hangingMatrix(picture.isOnPoint), corner))
  const [left, top] = [Math.min(...corners.map(([x]) => x)), Math.min(...corners.map(([, y]) => y))]
  return { left, top, width: Math.max(...corners.map(([x]) => x)) - left, height: Math.max(...corners.map(([, y]) => y)) - top }
}

export const grown = (box: Box, by: number): Box => ({ left: box.left - by, top: box.top - by, width: box.width + 2 * by, height: box.height + 2 * by })

/** Twice a row or column as it is told: "2", "1 1/2". */
export function doubled(line: string): number {
  const [whole = '0', half] = line === '1/2' ? ['0', '1/2'] : line.split(' ')
  return 2 * Number(whole) + (half === '1/2' ? 1 : 0)
}

export type Reach = 'this' | 'row' | 'column' | 'ring' | 'other' | 'all'

/** Which places a change goes to, beginning with one of them. */
export function reached(places: TopPlaceShown[], from: TopPlaceShown, reach: Reach): TopPlaceShown[] {
  const kind = (place: TopPlaceShown) => {
    const [row, column] = [doubled(place.row), doubled(place.column)]
    // On point every other place is one between; set straight it is every other of the checkerboard.
    return row % 2 === 1 ? 'between' : `whole ${places.some((one) => doubled(one.row) % 2 === 1) ? '' : ((row + column) / 2) % 2}`
  }
  const lines = [places.map((one) => doubled(one.row)), places.map((one) => doubled(one.column))] as const
  const edges = lines.map((line) => [Math.min(...line), Math.max(...line)] as const)
  /** How far from the edge of the setting a place stands, in half places. */
  const ring = (place: TopPlaceShown) => Math.min(...[doubled(place.row), doubled(place.column)].flatMap((line, way) => [line - (edges[way]?.[0] ?? 0), (edges[way]?.[1] ?? 0) - line]))
  return places.filter((place) => {
    if (reach === 'all') return true
    if (reach === 'ring') return ring(place) === ring(from)
    if (reach === 'row') return place.row === from.row
    if (reach === 'column') return place.column === from.column
    if (reach === 'other') return kind(place) === kind(from)
    return place === from
  })
}

/** The place nearest to one in a direction, as it hangs. */
export function neighbour(picture: TopPicture, from: TopPlaceShown, direction: 'left' | 'right' | 'up' | 'down'): TopPlaceShown {
  const matrix = hangingMatrix(picture.isOnPoint)
  const middle = (place: TopPlaceShown) => applied(matrix, place.at)
  const [x, y] = middle(from)
  const [dx, dy] = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] }[direction] as [number, number]
  let [best, least] = [from, Infinity]
  for (const place of picture.places) {
    const [a, b] = middle(place)
    const along = (a - x) * dx + (b - y) * dy
    const aside = Math.abs((a - x) * dy) + Math.abs((b - y) * dx)
    if (along > 1e-6 && along + 3 * aside < least) [best, least] = [place, along + 3 * aside]
  }
  return best
}
