import { describe, expect, it } from 'vitest'
import PiecesApart from '@/drawing/PiecesApart.vue'
import PiecesInHand from '@/drawing/PiecesInHand.vue'
import { all, drawn, face, tags, taking, value } from '../drawn'

const across = taking([[0], [1]], [{ from: [2, 0], to: [2, 2] }])
const down = taking([[0], [2]], [{ from: [0, 2], to: [2, 2] }])
const places = (tag: string) => value(tag, 'points').split(' ').map((place) => place.split(',').map(Number) as [number, number])
const span = (tag: string, axis: 0 | 1) => {
  const values = places(tag).map((place) => place[axis])
  return [Math.min(...values), Math.max(...values)]
}

describe('pieces to take', () => {
  it('lie apart across the seam, with the stitches in the gap', async () => {
    const markup = await drawn(PiecesApart, { face, take: across, label: 'Take' })
    const [one, two] = tags(markup, 'polygon') as [string, string]
    const [, right] = span(one, 0) as [number, number]
    const [left] = span(two, 0) as [number, number]
    expect(right).toBe(2)
    expect(left).toBeGreaterThan(2.5)
    const [seam] = tags(markup, 'line', 'stitching') as [string]
    expect(Number(value(seam, 'x1'))).toBeCloseTo((right + left) / 2)
    expect(all(markup, 'fill')).toEqual(['#ece5d6', '#22405f'])
    expect(markup).toContain('aria-label="Take"')
  })

  it('lie one above the other where the seam runs level', async () => {
    const [one, two] = tags(await drawn(PiecesApart, { face, take: down, label: 'Take' }), 'polygon') as [string, string]
    expect(span(one, 0)).toEqual(span(two, 0))
    expect((span(two, 1)[0] ?? 0) - (span(one, 1)[1] ?? 0)).toBeGreaterThan(0.5)
  })

  it('lie the other way apart where the second is left of the first', async () => {
    const [one, two] = tags(await drawn(PiecesApart, { face, take: taking([[1], [0]], across.seams), label: 'Take' }), 'polygon') as [string, string]
    expect(span(one, 0)).toEqual([2, 4])
    expect(span(two, 0)[1]).toBeLessThan(1.5)
  })

  it('tell which seam is sewn, which is next and which waits', async () => {
    const four = taking([[0], [1], [3], [2]], [...across.seams, { from: [2, 2], to: [4, 2] }, { from: [2, 2], to: [2, 4] }])
    const markup = await drawn(PiecesApart, { face, take: four, label: 'Take', at: 1 })
    expect(tags(markup, 'line', 'stitching').map((tag) => [/\bsewn\b/.test(tag), /\bwaits\b/.test(tag)])).toEqual([
      [true, false],
      [false, false],
      [false, true],
    ])
    const unknown = await drawn(PiecesApart, { face, take: across, label: 'Take' })
    expect(tags(unknown, 'line', 'waits')).toEqual([])
  })
})

describe('pieces in the hand', () => {
  const held = async (props: object) => drawn(PiecesInHand, { face, take: across, isLeftHanded: false, label: 'In the hand', ...props })

  it('lie on each other, the edge to sew at the right', async () => {
    const markup = await held({})
    const [lower, upper] = tags(markup, 'polygon') as [string, string]
    expect(span(lower, 0).map(Math.abs).sort()).toEqual(span(upper, 0).map(Math.abs).sort())
    expect(span(lower, 1)).toEqual(span(upper, 1))
    const [seam] = tags(markup, 'line', 'stitching') as [string]
    expect(Number(value(seam, 'x1'))).toBeCloseTo(span(upper, 0)[1] ?? 0)
    expect(Number(value(seam, 'y2')) - Number(value(seam, 'y1'))).toBeCloseTo(2)
  })

  it('lie with the edge to sew at the left for the other hand', async () => {
    const markup = await held({ isLeftHanded: true })
    const [, upper] = tags(markup, 'polygon') as [string, string]
    const [seam] = tags(markup, 'line', 'stitching') as [string]
    expect(Number(value(seam, 'x1'))).toBeCloseTo(span(upper, 0)[0] ?? 0)
  })

  it('have an upright edge even where the seam runs level in the block', async () => {
    const [seam] = tags(await held({ take: down }), 'line', 'stitching') as [string]
    expect(Number(value(seam, 'x1'))).toBeCloseTo(Number(value(seam, 'x2')))
  })

  it('are those of the seam that is sewn just now', async () => {
    const take = taking([[0], [1], [2]], [...across.seams, { from: [2, 0], to: [2, 2] }])
    expect(all(await held({ take, at: 1 }), 'fill').filter((fill) => fill.startsWith('#'))).toContain('#22405f')
    expect(tags(await held({ take, at: 5 }), 'polygon')).toEqual([])
  })

  it('have a wrong side of their own pattern, so that two pictures on a page do not share one', async () => {
    const markup = await held({})
    const [pattern] = tags(markup, 'pattern') as [string]
    expect(markup).toContain(`url(#${value(pattern, 'id')})`)
  })
})
