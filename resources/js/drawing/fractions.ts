/** Splits "12 1/2" so that only the fraction is set as one. */
export const fractionParts = (text: string): string[] => text.split(/(\d+\/\d+)/).filter((part) => part !== '')

/** "12 1/2" as a number; NaN when it is none. */
export function readSize(text: string): number {
  const part = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text.trim())
  return part ? Number(part[1] ?? 0) + Number(part[2]) / Number(part[3]) : text.trim() === '' ? Number.NaN : Number(text)
}

/** A number of sixteenths, or of half millimetres, as a quilter writes it. */
export function written(parts: number, to: number): string {
  const whole = Math.floor(parts / to)
  let [above, below] = [parts % to, to]
  while (above > 0 && above % 2 === 0 && below % 2 === 0) [above, below] = [above / 2, below / 2]
  return above === 0 ? `${whole}` : whole === 0 ? `${above}/${below}` : `${whole} ${above}/${below}`
}

/** The expected size in the middle, and what a ruler shows on both sides of it. */
export function nearSizes(expected: string, units: 'in' | 'mm', each = 3): string[] {
  const marks = units === 'in' ? 16 : 2
  const middle = Math.round(readSize(expected) * marks)
  return Array.from({ length: 2 * each + 1 }, (_, i) => (i === each ? expected : written(middle + i - each, marks)))
}

/** Sixteenths are the finest a quilter's ruler has; what is smaller is told where a miss is that small. */
const ON_RULER = new Set(['2', '4', '8', '16', '32', '64'])
const FINEST = 32

const FRACTION = /(≈?)(?:(\d+) )?(\d+)\/(\d+)/g
const DECIMAL = /\d+\.\d+/g
/** In inches, to the finest mark. */
const onMarks = (number: number) => `${Math.abs(number * FINEST - Math.round(number * FINEST)) > 1e-6 ? '≈' : ''}${written(Math.round(number * FINEST), FINEST)}`
const amount = (whole: string | undefined, above: string, below: string) => Number(whole ?? 0) + Number(above) / Number(below)
const toHundredths = (number: number) => Math.round(number * 100) / 100

/**
 * Numbers as a ruler of that unit shows them: inches in halves of halves, millimetres in decimals. What no mark is exactly
 * is said to be about it.
 */
export function asOnRuler(text: string, units: 'in' | 'mm'): string {
  return text.replace(DECIMAL, (as: string) => (units === 'mm' ? `${toHundredths(Number(as))}` : onMarks(Number(as)))).replace(FRACTION, (as: string, about: string, whole: string | undefined, above: string, below: string) => {
    const number = amount(whole, above, below)
    if (units === 'mm') return `${about !== '' || Math.abs(toHundredths(number) - number) > 1e-9 ? '≈' : ''}${toHundredths(number)}`
    return ON_RULER.has(below) ? as : onMarks(number)
  })
}

/** A size as it may stand in a field and be sent again: the same length, without "about". */
export function asTyped(text: string, units: 'in' | 'mm'): string {
  return text.replaceAll('≈', '').replace(FRACTION, (as: string, _: string, whole: string | undefined, above: string, below: string) => {
    if (units === 'in' && ON_RULER.has(below)) return as
    const decimal = amount(whole, above, below).toFixed(4).replace(/\.?0+$/, '')
    return Math.abs(Number(decimal) - amount(whole, above, below)) < 1e-9 ? decimal : as
  })
}
