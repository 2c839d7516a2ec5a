import type { LogbookShown } from '@/api/types'
import { written } from './fractions'

/** Where everything of the chart lies: heights by what a seam took, breadths by the order of time. */
export function takeUpPlaces(takeUps: LogbookShown['takeUps'], units: 'in' | 'mm', [width, height] = [560, 190]) {
  const [left, margin] = [64, 18]
  const to = units === 'in' ? 32 : 2
  const ideals = takeUps.flatMap((one) => (one.ideal === null ? [] : [one.ideal]))
  const values = [...takeUps.map((one) => one.value), ...ideals]
  // Whole marks of a ruler, with one to spare on both sides.
  const [low, high] = [Math.floor(Math.min(...values) * to + 1e-9) - 1, Math.ceil(Math.max(...values) * to - 1e-9) + 1]
  const y = (value: number) => margin + ((high - value * to) / (high - low)) * (height - 2 * margin)
  const step = Math.max(1, Math.ceil((high - low) / 5))
  const levels = Array.from({ length: Math.floor((high - low) / step) + 1 }, (_, i) => low + i * step)
  const room = (width - left - 2 * margin) / Math.max(1, takeUps.length - 1)
  return {
    width,
    height,
    left,
    lines: levels.map((parts) => ({ y: y(parts / to), text: written(parts, to) })),
    ideal: ideals.length > 0 ? y(ideals.at(-1) as number) : null,
    dots: takeUps.map((one, i) => ({ x: takeUps.length === 1 ? (left + width) / 2 : left + margin + i * room, y: y(one.value), text: one.text, isTest: one.isTest })),
    lowest: written(low + 1, to),
    highest: written(high - 1, to),
  }
}
