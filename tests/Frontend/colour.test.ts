import { describe, expect, it } from 'vitest'
import { channels, mixed, wrongSide } from '@/drawing/colour'

describe('channels', () => {
  it('reads both ways of writing a colour', () => {
    expect(channels('#3b5b7a')).toEqual([59, 91, 122])
    expect(channels('#fff')).toEqual([255, 255, 255])
  })
})

describe('mixed', () => {
  it('goes from one colour to the other', () => {
    expect(mixed('#000000', '#ffffff', 0)).toBe('rgb(0, 0, 0)')
    expect(mixed('#000000', '#ffffff', 1)).toBe('rgb(255, 255, 255)')
    expect(mixed('#204060', '#ffffff', 0.5)).toBe('rgb(144, 160, 176)')
  })
})

describe('wrongSide', () => {
  it('is paler than the right side, so that dark fabrics stay readable', () => {
    expect(wrongSide('#000000')).toBe('rgb(128, 128, 128)')
  })
})
