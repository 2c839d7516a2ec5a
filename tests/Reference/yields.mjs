// What ways to make several units at once give, by folding and cutting polygons with JSTS (a port of the JTS Topology
// Suite). Reads JSON on standard input: [{"way", "fabrics": [...], "unit": [[fabric, [[x, y], ...]], ...]}, ...] with the
// unit's patches in a rectangle from 0, 0; prints for each how many are the unit after some turn, and how many its mirror image.
import { readFileSync } from 'node:fs'
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js'
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js'
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js'

const factory = new GeometryFactory()
const polygon = (points) => factory.createPolygon([...points, points[0]].map(([x, y]) => new Coordinate(x, y)))
const rectangle = (x, y, width, height) => [[x, y], [x + width, y], [x + width, y + height], [x, y + height]]

/** Cloth is a list of [fabric, points]. */
const mapped = (cloth, move) => cloth.map(([fabric, points]) => [fabric, points.map(move)])

/** What lies inside a convex region. */
const cut = (cloth, region) =>
  cloth
    .map(([fabric, points]) => [fabric, OverlayOp.intersection(polygon(points), polygon(region))])
    .filter(([, part]) => part.getArea() > 1e-9)
    .map(([fabric, part]) => [fabric, part.getCoordinates().slice(0, -1).map(({ x, y }) => [x, y])])

const mirror = ([ax, ay], [bx, by]) => ([x, y]) => {
  const [dx, dy] = [bx - ax, by - ay]
  const t = ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)
  return [2 * (ax + t * dx) - x, 2 * (ay + t * dy) - y]
}

/** Two layers sewn along a line and cut to a region, the upper one opened out. */
const opened = (under, over, line, region) => [...cut(under, region), ...mapped(cut(over, region), mirror(...line))]

/** A huge half plane on one side of a line. */
function half([ax, ay], [bx, by], side) {
  const length = Math.hypot(bx - ax, by - ay)
  const [dx, dy] = [((bx - ax) / length) * 50, ((by - ay) / length) * 50]
  return [[ax - dx, ay - dy], [bx + dx, by + dy], [bx + dx - side * dy, by + dy + side * dx], [ax - dx - side * dy, ay - dy + side * dx]]
}

const square = (fabric) => [[fabric, rectangle(0, 0, 4, 4)]]
const triangles = (a, b) => [[a, [[0, 0], [4, 0], [0, 4]]], [b, [[4, 0], [4, 4], [0, 4]]]]
const diagonal = [[0, 0], [4, 4]]

const ways = {
  'two-at-a-time': ([a, b]) => [1, -1].map((side) => opened(square(a), square(b), diagonal, half(...diagonal, side))),
  'four-at-a-time': ([a, b]) =>
    [[[0, 0], [4, 0]], [[4, 0], [4, 4]], [[4, 4], [0, 4]], [[0, 4], [0, 0]]].map((edge) => opened(square(a), square(b), edge, [...edge, [2, 2]])),
  'eight-at-a-time': ([a, b]) =>
    [[[0, 0], [2, 0]], [[0, 0], [0, 2]], [[4, 0], [2, 0]], [[4, 0], [4, 2]], [[4, 4], [2, 4]], [[4, 4], [4, 2]], [[0, 4], [2, 4]], [[0, 4], [0, 2]]].map(
      ([corner, middle]) => opened(square(a), square(b), [corner, [2, 2]], [corner, middle, [2, 2]]),
    ),
  'four-at-once': ([goose, first, second]) =>
    [1, -1].flatMap((side) => {
      const skies = [[first, rectangle(0, 0, 2, 2)], [first, rectangle(2, 2, 2, 2)]]
      const heart = opened(square(goose), skies, diagonal, half(...diagonal, side))
      const corner = side === 1 ? [0, 4] : [4, 0]
      const last = [[second, rectangle(corner[0] === 0 ? 0 : 2, corner[1] === 0 ? 0 : 2, 2, 2)]]
      return [1, -1].map((other) => opened(heart, last, [corner, [2, 2]], half(corner, [2, 2], other)))
    }),
  crossed: ([large, b, c]) => [1, -1].map((side) => opened(triangles(b, c), square(large), diagonal, half(...diagonal, side))),
}

function turnedBy(cloth, eighths) {
  const [cos, sin] = [Math.cos((eighths * Math.PI) / 4), Math.sin((eighths * Math.PI) / 4)]
  return mapped(cloth, ([x, y]) => [x * cos - y * sin, x * sin + y * cos])
}

/** Laid from 0, 0 and as wide as the unit, if it then has the unit's height. */
function fitted(cloth, [width, height]) {
  const all = cloth.flatMap(([, points]) => points)
  const [left, top] = [Math.min(...all.map(([x]) => x)), Math.min(...all.map(([, y]) => y))]
  const scale = width / (Math.max(...all.map(([x]) => x)) - left)
  // The library's overlay does not stand edges that are a rounding error apart.
  const exact = (value) => Math.round(value * 1e6) / 1e6
  const laid = mapped(cloth, ([x, y]) => [exact((x - left) * scale), exact((y - top) * scale)])
  const area = laid.reduce((sum, [, points]) => sum + polygon(points).getArea(), 0)
  return Math.abs(area - width * height) < 1e-6 && Math.abs(Math.max(...laid.flatMap(([, points]) => points.map(([, y]) => y))) - height) < 1e-6 ? laid : null
}

/** Whether no place shows different fabrics. */
const shows = (cloth, unit) =>
  cloth.every(([fabric, points]) => unit.every(([other, outline]) => other === fabric || OverlayOp.intersection(polygon(points), polygon(outline)).getArea() < 1e-6))

const answers = JSON.parse(readFileSync(0, 'utf8')).map(({ way, fabrics, unit }) => {
  const all = unit.flatMap(([, points]) => points)
  const size = [Math.max(...all.map(([x]) => x)), Math.max(...all.map(([, y]) => y))]
  const mirrored = mapped(unit, ([x, y]) => [size[0] - x, y])
  const is = (made, wanted) => Array.from({ length: 8 }, (_, i) => fitted(turnedBy(made, i), size)).some((laid) => laid !== null && shows(laid, wanted))
  const made = ways[way](fabrics)
  const own = made.filter((one) => is(one, unit)).length
  return [own, made.filter((one) => !is(one, unit) && is(one, mirrored)).length]
})
process.stdout.write(JSON.stringify(answers))
