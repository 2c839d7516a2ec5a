export type Pixel = number[]

/** The picture moved so that a unit fills a square: how SVG writes it. Units are small: what is left of the slant is not seen. */
export function unitMatrix(corners: Pixel[], width: number, height: number): string {
  const [[ax = 0, ay = 0] = [], [bx = 0, by = 0] = [], , [dx = 0, dy = 0] = []] = corners
  const [ux, uy, vx, vy] = [bx - ax, by - ay, dx - ax, dy - ay]
  const det = ux * vy - uy * vx || 1
  const [a, b, c, d] = [(width * vy) / det, (-height * uy) / det, (-width * vx) / det, (height * ux) / det]
  return `matrix(${[a, b, c, d, -(a * ax + c * ay), -(b * ax + d * ay)].map((one) => Number(one.toFixed(6))).join(' ')})`
}

/** The picture as if it had been taken from straight above: what CSS does to it so that the corners become a rectangle. */
export function squareMatrix(corners: Pixel[], width: number, height: number): string {
  const [[x0 = 0, y0 = 0] = [], [x1 = 0, y1 = 0] = [], [x2 = 0, y2 = 0] = [], [x3 = 0, y3 = 0] = []] = corners
  // From the rectangle to the picture first, then turned round.
  const [dx1, dx2, dy1, dy2, sx, sy] = [x1 - x2, x3 - x2, y1 - y2, y3 - y2, x0 - x1 + x2 - x3, y0 - y1 + y2 - y3]
  const det = dx1 * dy2 - dx2 * dy1 || 1
  const [g, h] = [(sx * dy2 - dx2 * sy) / det, (dx1 * sy - sx * dy1) / det]
  const m = [x1 - x0 + g * x1, x3 - x0 + h * x3, x0, y1 - y0 + g * y1, y3 - y0 + h * y3, y0, g, h, 1] as const
  const [a, b, c, d, e, f, p, q, r] = m
  const inverse = [e * r - f * q, c * q - b * r, b * f - c * e, f * p - d * r, a * r - c * p, c * d - a * f, d * q - e * p, b * p - a * q, a * e - b * d]
  const [A = 0, B = 0, C = 0, D = 0, E = 0, F = 0, G = 0, H = 0, I = 1] = inverse.map((one) => one / (inverse[8] || 1))
  return `matrix3d(${[A * width, D * height, 0, G, B * width, E * height, 0, H, 0, 0, 1, 0, C * width, F * height, 0, I].map((one) => Number(one.toPrecision(10))).join(',')})`
}
