// Areas and cut outlines, by JSTS (a port of the JTS Topology Suite). Reads JSON on standard input:
// [{"points": [[x, y], ...], "distance": d}, ...]; prints for each its area and the outline moved out by d with sharp
// corners, cut off across every corner sharper than a right angle at √2 d from the corner unless "sharp" is set.
import { readFileSync } from 'node:fs'
import Coordinate from 'jsts/org/locationtech/jts/geom/Coordinate.js'
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js'
import BufferOp from 'jsts/org/locationtech/jts/operation/buffer/BufferOp.js'
import BufferParameters from 'jsts/org/locationtech/jts/operation/buffer/BufferParameters.js'
import OverlayOp from 'jsts/org/locationtech/jts/operation/overlay/OverlayOp.js'

const factory = new GeometryFactory()
const polygonOf = (points) => factory.createPolygon([...points, points[0]].map(([x, y]) => new Coordinate(x, y)))

function cutOutline({ points, distance, sharp }) {
  const polygon = polygonOf(points)
  const how = new BufferParameters(8, BufferParameters.CAP_FLAT, BufferParameters.JOIN_MITRE, 100)
  let cut = new BufferOp(polygon, how).getResultGeometry(distance)
  points.forEach((corner, i) => {
    const before = unit(corner, points[(i + points.length - 1) % points.length])
    const after = unit(corner, points[(i + 1) % points.length])
    if (sharp || before[0] * after[0] + before[1] * after[1] < 1e-12) return
    cut = OverlayOp.intersection(cut, insideOf(corner, unit([0, 0], [before[0] + after[0], before[1] + after[1]]), Math.SQRT2 * distance))
  })
  return { area: polygon.getArea(), offsetArea: cut.getArea(), offset: cut.getCoordinates().map(({ x, y }) => [x, y]) }
}

/** A large square whose near side lies across the corner, `out` beyond it. */
function insideOf([x, y], [inX, inY], out) {
  const size = 1e4
  const at = (deep, across) => [x + inX * deep - inY * across, y + inY * deep + inX * across]
  return polygonOf([at(-out, -size), at(-out, size), at(size, size), at(size, -size)])
}

function unit([ax, ay], [bx, by]) {
  const length = Math.hypot(bx - ax, by - ay)
  return [(bx - ax) / length, (by - ay) / length]
}

process.stdout.write(JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(cutOutline)))
