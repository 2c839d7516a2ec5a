// The lowest way to lay pieces in strips across a fabric, by HiGHS, a general-purpose solver of mixed-integer programs.
// Reads JSON on standard input: {"width": W, "sizes": [[height, width], ...]}, the highest first; prints the total height.
import { readFileSync } from 'node:fs'
import highsLoader from 'highs'

const highs = await highsLoader()
const cases = JSON.parse(readFileSync(0, 'utf8'))
process.stdout.write(JSON.stringify(cases.map(least)))

function least({ width, sizes }) {
  const n = sizes.length
  // x_i_j: piece j lies in the strip that piece i opens; a strip is as high as its first piece.
  const x = (i, j) => `x${i}_${j}`
  const pairs = (i) => Array.from({ length: n - i }, (_, k) => i + k)
  const rows = [
    ...sizes.map((_, j) => `${Array.from({ length: j + 1 }, (_, i) => x(i, j)).join(' + ')} = 1`),
    ...sizes.map((_, i) => `${pairs(i).map((j) => `${j === i ? sizes[j][1] - width : sizes[j][1]} ${x(i, j)}`).join(' + ').replaceAll('+ -', '- ')} <= 0`),
    ...sizes.flatMap((_, i) => pairs(i).slice(1).map((j) => `${x(i, j)} - ${x(i, i)} <= 0`)),
  ]
  const result = highs.solve(
    `Minimize\n obj: ${sizes.map(([height], i) => `${height} ${x(i, i)}`).join(' + ')}\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBinary\n ${sizes.flatMap((_, i) => pairs(i).map((j) => x(i, j))).join(' ')}\nEnd\n`,
    { mip_rel_gap: 0, mip_abs_gap: 0.4 },
  )
  if (result.Status !== 'Optimal') throw new Error(result.Status)
  return Math.round(result.ObjectiveValue)
}
