import { describe, expect, it, vi } from 'vitest'
import type { SetupContext } from 'vue'
import type { CrossingShown, FlapShown, JunctionShown, Nesting } from '@/api/types'
import SeamPanel from '@/components/SeamPanel.vue'
import StitchLine from '@/components/StitchLine.vue'
import TotalsPanel from '@/components/TotalsPanel.vue'
import BlockBack from '@/drawing/BlockBack.vue'
import BlockFace from '@/drawing/BlockFace.vue'
import FractionText from '@/drawing/FractionText.vue'
import PlyMap from '@/drawing/PlyMap.vue'
import StateMark from '@/drawing/StateMark.vue'
import UnitIcon from '@/drawing/UnitIcon.vue'
import { all, drawn, face, join, tags, value } from '../drawn'

// Explaining itself needs the page round it.
vi.mock('@/components/TradeWord.vue', () => ({ default: { inheritAttrs: false, setup: (_: unknown, { slots }: SetupContext) => () => slots.default?.() } }))

const figures = (change = {}) => ({ joins: 3, matches: 4, nested: 3, stacked: 1, lopsided: 0, flat: 0, peak_squared: 9, shadow: '2', folded: 2, furls: 0, thickest: 7, ...change })
const crossing = (kind: Nesting): CrossingShown => ({ join: 0, seams: [0, 1], at: [2, 2], text: ['2', '2'], kind })

describe('the face of a block', () => {
  it('shows every patch in its fabric, in finished inches', async () => {
    const markup = await drawn(BlockFace, { face, label: 'Face' })
    expect(tags(markup, 'svg').map((tag) => value(tag, 'viewBox'))).toEqual(['0 0 4 4'])
    expect(tags(markup, 'polygon').map((tag) => value(tag, 'fill'))).toEqual(['#ece5d6', '#22405f', '#22405f', '#ece5d6'])
    expect(tags(markup, 'polygon', 'faded')).toEqual([])
  })

  it('fades what a step does not touch, or leaves it out and comes closer', async () => {
    expect(tags(await drawn(BlockFace, { face, label: '', patches: [0, 1] }), 'polygon', 'faded')).toHaveLength(2)
    const close = await drawn(BlockFace, { face, label: '', patches: [2, 3], closeUp: true })
    expect(value(tags(close, 'svg')[0] ?? '', 'viewBox')).toBe('0 2 4 2')
    expect(tags(close, 'polygon')).toHaveLength(2)
  })

  it('marks the seams of a step that lie within what is shown', async () => {
    const joins = [join(), join({ id: 1, from: [0, 2], to: [4, 2], patches: [0, 1, 2, 3] })]
    expect(all(await drawn(BlockFace, { face, label: '', joins, highlighted: [0, 1] }), 'data-join')).toEqual(['0', '1'])
    expect(all(await drawn(BlockFace, { face, label: '', joins, highlighted: [0, 1], patches: [0, 1], closeUp: true }), 'data-join')).toEqual(['0'])
  })
})

describe('the back of a block', () => {
  const flaps: FlapShown[] = [
    { patch: 0, allowance: false, turnedUp: false, points: [[0, 0], [2, 0], [2, 2], [0, 2]] },
    { patch: 0, allowance: true, turnedUp: true, points: [[2, 0], [2.25, 0], [2.25, 2], [2, 2]] },
  ]
  const back = (props = {}) => drawn(BlockBack, { name: 'Tide Gate', face, flaps, joins: [join()], crossings: [], ...props })

  it('is the face seen from behind: what lies left lies right', async () => {
    const [cloth] = tags(await back(), 'polygon') as [string]
    expect(value(cloth, 'points')).toBe('4,0 2,0 2,2 4,2')
  })

  it('points each arrow to where the allowances lie, as seen from behind', async () => {
    const turn = async (press: string) => /rotate\((-?\d+)\)/.exec(await back({ joins: [join({ press: [press as 'left'] })] }))?.[1]
    const [left, right] = [await turn('left'), await turn('right')]
    expect(Math.abs(Number(left) - Number(right)) % 360).toBe(180)
    expect(await back({ joins: [join({ press: ['open'] })] })).toContain('class="arrow open"')
  })

  it('says of every seam how it is pressed, whether it is locked and whether it is done', async () => {
    expect(all(await back(), 'aria-label')[1]).toBe('Row 1, seam 1: pressed toward unit 1')
    expect(all(await back({ joins: [join({ press: ['right'], locked: true, isPressed: true })] }), 'aria-label')[1]).toBe('Row 1, seam 1: pressed toward unit 2, locked, pressed already')
  })

  it('is one stop for the Tab key, and none where nothing can be chosen', async () => {
    const two = [join(), join({ id: 1 })]
    expect(all(await back({ joins: two, selected: 1 }), 'tabindex')).toEqual(['-1', '0'])
    expect(all(await back({ joins: two, isLive: false }), 'tabindex')).toEqual([])
  })

  it('shows the arrows of the step in hand only, where seams cannot be chosen', async () => {
    const two = [join(), join({ id: 1 })]
    expect(tags(await back({ joins: two }), 'path', 'arrow')).toHaveLength(2)
    expect(tags(await back({ joins: two, isLive: false, highlighted: [1] }), 'path', 'arrow')).toHaveLength(1)
  })

  it('names every crossing that does not nest', async () => {
    expect(await back({ crossings: [crossing('stacked')] })).toContain('>stacked</text>')
    expect(await back({ crossings: [crossing('nested')] })).not.toContain('>nested</text>')
  })
})

describe('layers of cloth', () => {
  it('are told by the thickest place, in words and at the place', async () => {
    const junction = (peak: number): JunctionShown => ({ at: [1, 2], text: ['1', '2'], patches: 4, peak, plies: [] })
    const markup = await drawn(PlyMap, { face, flaps: [], junctions: [junction(5), junction(9)], name: 'Tide Gate', pixels: 400 })
    expect(markup).toContain('Layers of cloth in Tide Gate; the thickest place has 9')
    expect(tags(markup, 'circle').map((tag) => value(tag, 'cx'))).toEqual(['3', '3'])
  })
})

describe('a state', () => {
  it('is shape and word together, and has no shape of another', async () => {
    const kinds: Nesting[] = ['nested', 'stacked', 'lopsided', 'flat']
    const marks = await Promise.all(kinds.map((kind) => drawn(StateMark, { kind })))
    expect(new Set(marks.map((mark) => value(tags(mark, 'path')[0] ?? '', 'd'))).size).toBe(4)
    expect(marks.map((mark) => all(mark, 'aria-label')[0])).toEqual(kinds)
    expect(all(await drawn(StateMark, { kind: 'flat', decorative: true }), 'aria-label')).toEqual([])
  })
})

describe('totals', () => {
  it('tell what is so, and what changed only where something did', async () => {
    const markup = await drawn(TotalsPanel, { totals: figures(), before: figures({ nested: 4, thickest: 6 }) })
    expect(markup).toContain('1 fewer than planned')
    expect(markup).toContain('1 more than planned')
    expect(markup.match(/than planned/g)).toHaveLength(2)
    expect(await drawn(TotalsPanel, { totals: figures(), before: figures() })).not.toContain('than planned')
  })
})

describe('one seam', () => {
  const panel = (change = {}, choices = {}) => drawn(SeamPanel, { join: join(change), choices, totals: figures(), isBusy: false })

  it('tells who decided how it lies', async () => {
    expect(await panel()).toContain('As the plan has it.')
    expect(await panel({ locked: true })).toContain('Locked by you.')
    expect(await panel({ locked: true, isPressed: true })).toContain('Pressed so already: the plan goes round it.')
    expect(await panel({ pile: [0, 4, 8] })).toContain('the same seam in all 3 units is pressed alike')
  })

  it('marks the way it lies, and tells what the others would cost', async () => {
    const markup = await panel({}, { right: { words: 'two crossings stack' } })
    expect(tags(markup, 'button', 'now').map((tag) => value(tag, 'data-way'))).toEqual(['left'])
    expect(markup).toContain('two crossings stack')
  })
})

describe('small things', () => {
  it('set only the fraction of a size as one', async () => {
    const markup = await drawn(FractionText, { text: '12 1/2 x 3' })
    expect(markup.match(/class="fraction"/g)).toHaveLength(1)
    expect(markup).toContain('>1/2<')
  })

  it('sew a line as far as the work has come, never past its end', async () => {
    const width = async (done: number, of: number) => /width:([\d.]+)%/.exec(await drawn(StitchLine, { done, all: of, label: 'Steps done' }))?.[1]
    expect([await width(1, 4), await width(9, 4), await width(0, 0)]).toEqual(['25', '100', '0'])
  })

  it('keep a unit within its square, whichever side is longer', async () => {
    const patches = [{ color: '#22405f', points: [[0, 0], [1, 0], [1, 1], [0, 1]] }]
    const box = async (ratio: number) => {
      const markup = await drawn(UnitIcon, { patches, ratio })
      const [left, top, width, height] = value(tags(markup, 'svg')[0] ?? '', 'viewBox').split(' ').map(Number) as [number, number, number, number]
      const [x, y] = /scale\(([\d.]+) ([\d.]+)\)/.exec(markup)?.slice(1).map(Number) as [number, number]
      expect([x <= left + width, y <= top + height, left < 0, top < 0]).toEqual([true, true, true, true])
      return x / y
    }
    expect(await box(2)).toBeCloseTo(2)
    expect(await box(0.5)).toBeCloseTo(0.5)
    expect(await box(1)).toBe(1)
  })
})
