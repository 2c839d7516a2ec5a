// Layers of cloth by an independent construction: the cut pieces are folded seam by seam with JSTS (a port of the JTS
// Topology Suite), and those that cover a place are counted. Reads JSON on standard input:
// {"pieces": [[[x, y], ...], ...], "tree": piece number or {"left", "right", "from": [x, y], "to": [x, y], "press"},
//  "places": [[x, y], ...]}, "press" one direction for the whole seam; prints the count at every place.
import { readFileSync } from 'node:fs'
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js'
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js'
import AffineTransformation from 'jsts/org/locationtech/jts/geom/util/AffineTransformation.js'
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js'
import RelateOp from 'jsts/org/locationtech/jts/operation/relate/RelateOp.js'

const factory = new GeometryFactory()
const far = 1e4
const { pieces, tree, places } = JSON.parse(readFileSync(0, 'utf8'))

const cloth = fold(tree)
process.stdout.write(JSON.stringify(places.map(([x, y]) => cloth.filter((flap) => RelateOp.contains(flap, factory.createPoint(new Coordinate(x, y)))).length)))

function fold(node) {
  if (typeof node === 'number') return [polygonOf(pieces[node])]
  const [left, right] = [fold(node.left), fold(node.right)]
  const [onLeft, onRight] = sides(node)
  const mirror = AffineTransformation.reflectionInstance(node.from[0], node.from[1], node.to[0], node.to[1])
  const part = (flaps, side) => flaps.map((flap) => OverlayOp.intersection(flap, side)).filter((flap) => flap.getArea() > 1e-12)
  const folded = (flaps, side) => part(flaps, side).map((flap) => mirror.transform(flap))
  const result = [...part(left, onLeft), ...part(right, onRight)]
  if (node.press !== 'right') result.push(...folded(left, onRight))
  if (node.press !== 'left') result.push(...folded(right, onLeft))
  if (node.press === 'right') result.push(...part(left, onRight))
  if (node.press === 'left') result.push(...part(right, onLeft))
  return result
}

/** The half-planes on either side of the seam; which of them is left is told by a point of the left part. */
function sides({ from, to, leftOf }) {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  const [ux, uy] = [(to[0] - from[0]) / length, (to[1] - from[1]) / length]
  const half = (sign) => {
    const [nx, ny] = [-uy * sign, ux * sign]
    const at = (along, out) => [from[0] + ux * along + nx * out, from[1] + uy * along + ny * out]
    return polygonOf([at(-far, 0), at(far, 0), at(far, far), at(-far, far)])
  }
  const leftSign = Math.sign((to[0] - from[0]) * (leftOf[1] - from[1]) - (to[1] - from[1]) * (leftOf[0] - from[0]))
  return [half(leftSign), half(-leftSign)]
}

function polygonOf(points) {
  return factory.createPolygon([...points, points[0]].map(([x, y]) => new Coordinate(x, y)))
}
