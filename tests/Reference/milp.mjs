// The least sum of cost tables, by HiGHS, a general-purpose solver of mixed-integer programs. Reads JSON on standard
// input: {"domains": [2, ...], "factors": [{"scope": [0, 3], "costs": [[figure, ...] or null, ...]}]}, tables counting the
// first variable of the scope slowest. Figures are minimised one after the other; prints the least figures.
import { readFileSync } from 'node:fs'
import highsLoader from 'highs'

const { domains, factors } = JSON.parse(readFileSync(0, 'utf8'))
const highs = await highsLoader()
const figures = factors.flatMap((factor) => factor.costs).find((cost) => cost !== null).length

const rows = []
const bounds = []
const x = (variable, value) => `x${variable}_${value}`
const y = (factor, entry) => `y${factor}_${entry}`
domains.forEach((size, variable) => rows.push(`${sum(range(size).map((value) => x(variable, value)))} = 1`))
factors.forEach(({ scope, costs }, f) => {
  costs.forEach((cost, entry) => cost === null && bounds.push(`${y(f, entry)} = 0`))
  scope.forEach((variable, place) => {
    for (const value of range(domains[variable])) {
      const entries = range(costs.length).filter((entry) => valueAt(scope, entry, place) === value)
      rows.push(`${sum(entries.map((entry) => y(f, entry)))} - ${x(variable, value)} = 0`)
    }
  })
})
const binaries = domains.flatMap((size, variable) => range(size).map((value) => x(variable, value)))

const least = []
for (const figure of range(figures)) {
  const result = highs.solve(
    `Minimize\n obj: ${terms(figure)}\nSubject To\n${[...rows, ...least.map((value, known) => `${terms(known)} <= ${value + 0.5 + 5e-6 * value}`)]
      .map((row, i) => ` c${i}: ${row}`)
      .join('\n')}\nBounds\n ${bounds.join('\n ')}\nBinary\n ${binaries.join(' ')}\nEnd\n`,
    { mip_rel_gap: 0, mip_abs_gap: 0.4, presolve: 'off' },
  )
  if (result.Status !== 'Optimal') throw new Error(`${result.Status} at figure ${figure} after ${least}`)
  least.push(Math.round(result.ObjectiveValue))
}
process.stdout.write(JSON.stringify(least))

function terms(figure) {
  const found = factors.flatMap(({ costs }, f) =>
    costs.flatMap((cost, entry) => (cost !== null && cost[figure] !== 0 ? [`${cost[figure]} ${y(f, entry)}`] : [])),
  )
  return found.length === 0 ? `0 ${x(0, 0)}` : wrapped(found)
}

function sum(names) {
  return wrapped(names)
}

/** The LP format limits the length of a line. */
function wrapped(parts) {
  return parts.map((part, i) => (i % 12 === 11 ? `${part}\n  ` : part)).join(' + ')
}

function valueAt(scope, entry, place) {
  const after = scope.slice(place + 1).reduce((size, variable) => size * domains[variable], 1)
  return Math.floor(entry / after) % domains[scope[place]]
}

function range(size) {
  return Array.from({ length: size }, (_, i) => i)
}
