import { describe, expect, it } from 'vitest'
import { asOnRuler, asTyped, nearSizes, readSize } from '@/drawing/fractions'

describe('sizes a ruler shows', () => {
  it('are read as they are written', () => {
    expect([readSize('12 1/2'), readSize('7/8'), readSize('4'), readSize('4.125')]).toEqual([12.5, 0.875, 4, 4.125])
    expect(readSize('wide')).toBeNaN()
    expect(readSize('')).toBeNaN()
  })

  it('lie round the expected one, in lowest terms', () => {
    expect(nearSizes('3 1/2', 'in')).toEqual(['3 5/16', '3 3/8', '3 7/16', '3 1/2', '3 9/16', '3 5/8', '3 11/16'])
    expect(nearSizes('1', 'in', 1)).toEqual(['15/16', '1', '1 1/16'])
    expect(nearSizes('90', 'mm', 2)).toEqual(['89', '89 1/2', '90', '90 1/2', '91'])
  })

  it('keep an expected size that is on no mark', () => {
    expect(nearSizes('4.123456', 'in', 1)).toEqual(['4 1/16', '4.123456', '4 3/16'])
  })
})

describe('numbers as a ruler shows them', () => {
  it('are halves of halves in inches, and about where no mark is', () => {
    expect(asOnRuler('12 1/2 x 7/32, ≈4 1/8', 'in')).toBe('12 1/2 x 7/32, ≈4 1/8')
    expect(asOnRuler('4 1/10 and 1/3', 'in')).toBe('≈4 3/32 and ≈11/32')
    expect(asOnRuler('3 99/100', 'in')).toBe('≈4')
    expect(asOnRuler('8.700000 x 0.5', 'in')).toBe('≈8 11/16 x 1/2')
  })

  it('are decimals in millimetres', () => {
    expect(asOnRuler('304 4/5 x 6 7/20', 'mm')).toBe('304.8 x 6.35')
    expect(asOnRuler('47 1/3, ≈12 1/2, 9', 'mm')).toBe('≈47.33, ≈12.5, 9')
  })

  it('stand in a field as what they are', () => {
    expect([asTyped('4 1/10', 'in'), asTyped('4 3/8', 'in'), asTyped('4 1/3', 'in'), asTyped('304 4/5', 'mm'), asTyped('≈7 1/2', 'mm'), asTyped('100 1/3', 'mm')]).toEqual(['4.1', '4 3/8', '4 1/3', '304.8', '7.5', '100 1/3'])
  })
})
