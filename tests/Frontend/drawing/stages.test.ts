import { describe, expect, it } from 'vitest'
import type { ClothShown, CutShown, Place, StageShown } from '@/api/types'
import TemplatePicture from '@/components/cutting/TemplatePicture.vue'
import StagePicture from '@/drawing/StagePicture.vue'
import { laidApart } from '@/drawing/stages'
import { drawn, tags, value } from '../drawn'

const square = (side: number, isBack = false, at = 0): ClothShown[number] => ({ fabric: isBack ? 'B' : 'A', points: [[at, at], [at + side, at], [at + side, at + side], [at, at + side]] as Place[], isBack })
const lefts = (patches: ClothShown) => patches.map((patch) => Math.min(...patch.points.map((point) => point[0])))

describe('things on the cutting table', () => {
  it('lie two in a row, each at its own true size, and never on each other', () => {
    const laid = laidApart([[square(2)], [square(1, false, 5)], [square(2)]])
    expect(lefts(laid.patches)).toEqual([0, 2.24, 0])
    expect(laid.patches.map((patch) => patch.points[1]![0] - patch.points[0]![0])).toEqual([2, 1, 2])
    expect([laid.width, laid.height]).toEqual([4.24, 4.24])
    expect(laidApart([[square(2, false, 3)]]).origin).toEqual([3, 3])
    expect(laidApart([]).patches).toEqual([])
  })

  it('are four at most: the others are alike', () => {
    expect(laidApart(Array.from({ length: 8 }, () => [square(1)])).patches).toHaveLength(4)
  })

  it('show a rim of what is below when they are just laid', () => {
    const pair = [square(2), square(2, true)]
    expect(lefts(laidApart([pair]).patches)).toEqual([0, 0])
    expect(lefts(laidApart([pair], true).patches)[1]).toBeCloseTo(0.14)
    expect(lefts(laidApart([[square(2, true)]], true).patches)).toEqual([0])
  })
})

describe('the picture of a stage', () => {
  const stage: StageShown = { do: 'sew', words: '', things: [[square(3, false, 1), square(3, true, 1)]], marks: [[[1, 1], [4, 4]]], stitches: [[[1, 1.4], [3.6, 4]], [[1.4, 1], [4, 3.6]]], knives: [] }
  const shown = (change: Partial<StageShown> = {}) => drawn(StagePicture, { stage: { ...stage, ...change }, colours: new Map([['A', '#ece5d6'], ['B', '#22405f']]) })

  it('hatches what lies face down, and draws lines, stitches and the knife each in its own way', async () => {
    const markup = await shown({ knives: [[[1, 1], [4, 4]]] })
    expect(tags(markup, 'polygon').map((tag) => value(tag, 'fill')).filter((fill) => fill.startsWith('#'))).toEqual(['#ece5d6', '#22405f'])
    expect(tags(markup, 'polygon').filter((tag) => value(tag, 'fill').startsWith('url('))).toHaveLength(1)
    expect([tags(markup, 'line', 'mark').length, tags(markup, 'line', 'stitch').length, tags(markup, 'line', 'knife').length]).toEqual([1, 2, 1])
    const dashes = ['mark', 'stitch', 'knife'].map((kind) => value(tags(markup, 'line', kind)[0] ?? '', 'stroke-dasharray'))
    expect(new Set(dashes).size).toBe(3)
  })

  it('moves lines along with the thing they are drawn on', async () => {
    const [mark] = tags(await shown(), 'line', 'mark') as [string]
    expect(['x1', 'y1', 'x2', 'y2'].map((name) => Number(value(mark, name)))).toEqual([0, 0, 3, 3])
  })
})

describe('a template', () => {
  const cut = { letter: 'c', outline: [[0, 0], [4, 0], [2.2, 4], [1.8, 4]], sides: ['4', '≈4 3/8', '3/8', '≈4 3/8'] } as unknown as CutShown

  it('tells the length along every side that has room for it, and where the weave runs', async () => {
    const markup = await drawn(TemplatePicture, { cut, color: '#ece5d6' })
    expect(tags(markup, 'text')).toHaveLength(3)
    expect(markup).toContain('aria-label="Template c: sides 4, ≈4 3/8, 3/8, ≈4 3/8"')
    expect(tags(markup, 'g', 'grain')).toHaveLength(1)
    // The figure of the upper side stands above it, that of the right side to its right.
    const [upper, right] = tags(markup, 'text') as [string, string]
    expect(Number(value(upper, 'y'))).toBeLessThan(0.1)
    expect(Number(value(right, 'x'))).toBeGreaterThan(3.1)
  })
})
