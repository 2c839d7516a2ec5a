// The fewest trips to the machine, by HiGHS, a general-purpose solver of linear programs.
// Reads JSON on standard input: a list of {"joins": n, "after": [[later, earlier, trips between them], ...]};
// prints for each the trip in which every join can be sewn at the earliest.
import { readFileSync } from 'node:fs'
import highsLoader from 'highs'

const highs = await highsLoader()
process.stdout.write(JSON.stringify(JSON.parse(readFileSync(0, 'utf8')).map(earliest)))

function earliest({ joins, after }) {
  const t = (i) => `t${i}`
  const all = Array.from({ length: joins }, (_, i) => i)
  const rows = after.map(([later, earlier, between], i) => ` c${i}: ${t(later)} - ${t(earlier)} >= ${between}`)
  const result = highs.solve(`Minimize\n obj: ${all.map(t).join(' + ')}\nSubject To\n${[...rows, ` none: ${t(0)} >= 0`].join('\n')}\nBounds\n${all.map((i) => ` ${t(i)} >= 0`).join('\n')}\nEnd\n`)
  if (result.Status !== 'Optimal') throw new Error(result.Status)
  return all.map((i) => Math.round(result.Columns[t(i)].Primal))
}
