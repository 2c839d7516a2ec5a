import { describe, expect, it } from 'vitest'
import { duration } from '@/drawing/duration'
import { fractionParts } from '@/drawing/fractions'
import { takeUpPlaces } from '@/drawing/takeUpChart'

describe('a time as it is read at a glance', () => {
  it.each([
    [0, '0 s'],
    [45, '45 s'],
    [89, '89 s'],
    [90, '2 min'],
    [720, '12 min'],
    [3570, '1 h'],
    [3900, '1 h 5 min'],
    [7200, '2 h'],
  ])('%d seconds', (seconds, words) => expect(duration(seconds)).toBe(words))
})

describe('the chart of what seams took', () => {
  const one = (value: number, change = {}) => ({ at: 0, text: '', value, ideal: 0.5, isTest: false, ...change })

  it('puts wide seams above what they should take, and narrow ones below', () => {
    const chart = takeUpPlaces([one(0.5), one(0.53125), one(0.46875)], 'in')
    const [level, wide, narrow] = chart.dots.map((dot) => dot.y)
    expect(level).toBeCloseTo(chart.ideal as number)
    expect(wide).toBeLessThan(level as number)
    expect(narrow).toBeGreaterThan(level as number)
    expect([chart.lowest, chart.highest]).toEqual(['15/32', '17/32'])
    expect(chart.lines.map((line) => line.text)).toEqual(['7/16', '15/32', '1/2', '17/32', '9/16'])
  })

  it('keeps the order of time and stays inside its frame', () => {
    const chart = takeUpPlaces(Array.from({ length: 60 }, (_, i) => one(0.4 + i / 300)), 'in')
    const xs = chart.dots.map((dot) => dot.x)
    expect(xs).toEqual([...xs].sort((a, b) => a - b))
    expect(Math.max(...xs)).toBeLessThanOrEqual(chart.width)
    expect(Math.min(...chart.dots.map((dot) => dot.y))).toBeGreaterThan(0)
    expect(Math.max(...chart.dots.map((dot) => dot.y))).toBeLessThan(chart.height)
    expect(chart.lines.length).toBeLessThanOrEqual(7)
  })

  it('knows a single seam, strips without a block, and millimetres', () => {
    const chart = takeUpPlaces([one(12.5, { ideal: null, isTest: true })], 'mm')
    expect(chart.ideal).toBeNull()
    expect(chart.dots).toMatchObject([{ isTest: true }])
    expect(chart.dots[0]?.x).toBeGreaterThan(chart.left)
    expect(chart.lines.map((line) => line.text)).toContain('12 1/2')
  })
})

describe('a size in parts', () => {
  it('sets only the fraction apart', () => {
    expect(fractionParts('12 1/2 x 3/8')).toEqual(['12 ', '1/2', ' x ', '3/8'])
    expect(fractionParts('12')).toEqual(['12'])
  })
})
