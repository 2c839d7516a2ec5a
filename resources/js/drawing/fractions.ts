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
