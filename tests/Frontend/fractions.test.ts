import { describe, expect, it } from 'vitest'
import { nearSizes, readSize } from '@/drawing/fractions'

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
