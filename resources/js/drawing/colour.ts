/** "#fff" or "#3b5b7a" as red, green and blue, 0 to 255. */
export function channels(color: string): [number, number, number] {
  const hex = color.slice(1)
  const full = hex.length === 3 ? [...hex].map((digit) => digit + digit).join('') : hex
  return [0, 2, 4].map((at) => parseInt(full.slice(at, at + 2), 16)) as [number, number, number]
}

/** The colour with the given share of another mixed in. */
export function mixed(color: string, other: string, share: number): string {
  const [a, b] = [channels(color), channels(other)]
  return `rgb(${a.map((value, i) => Math.round(value * (1 - share) + (b[i] as number) * share)).join(', ')})`
}

/** The wrong side of a fabric: paler, so that dark fabrics stay readable on the back. */
export const wrongSide = (color: string): string => mixed(color, '#ffffff', 0.5)

export const allowance = (color: string): string => mixed(color, '#ffffff', 0.2)
