import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { JoinSheetShown, PressShown, StepPicture, WorkStep } from '@/api/types'
import MeasureKeys from '@/components/machine/MeasureKeys.vue'
import StepPictures from '@/components/machine/StepPictures.vue'
import BarChart from '@/drawing/BarChart.vue'
import SeamRuler from '@/drawing/SeamRuler.vue'
import TakeUpChart from '@/drawing/TakeUpChart.vue'
import { drawn, face, join, tags, taking, value } from '../drawn'

beforeEach(() => {
  setActivePinia(createPinia())
  vi.stubGlobal('localStorage', { getItem: () => null, setItem: () => undefined })
})

const ruler = (change: Partial<JoinSheetShown> = {}): JoinSheetShown =>
  ({
    id: 0,
    title: 'Rows 1 and 2',
    leftName: 'row 1',
    rightName: 'row 2',
    raw: ['4 1/2', '4 1/2'],
    realLengths: [4, 4],
    allowance: 0.25,
    ends: [
      { name: 'left end', reach: [0.25, 0.25], slant: [0, 0], lay: 'level' },
      { name: 'right end', reach: [0.25, 0.25], slant: [0, 0], lay: 'level' },
    ],
    length: 4.5,
    up: 'left',
    edges: [
      [
        [0, 2, 'A'],
        [2, 4, 'B'],
      ],
      [[0, 4, 'B']],
    ],
    marks: [
      { at: ['2', '2'], from_edge: ['2 1/4', '2 1/4'], place: [2.25, 2.25], left: 'seam', right: 'tip', kind: 'match', nest: 'nested', miss: '0', do: '', feed: '', verdict: 'leave' },
      { at: ['3', '2'], from_edge: ['3 1/4', '3 1/4'], place: [3.25, 3.25], left: 'seam', right: 'plain', kind: 'floating', nest: null, miss: null, do: '', feed: '', verdict: null },
    ],
    ...change,
  }) as unknown as JoinSheetShown

/** From where to where the raw edge of every patch runs. */
const rawEdges = (markup: string) =>
  tags(markup, 'polygon', 'cloth').map((tag) =>
    value(tag, 'points')
      .split(' ')
      .slice(0, 2)
      .map((corner) => Math.round(Number(corner.split(',')[0]) * 1e6) / 1e6),
  )

describe('the seam ruler', () => {
  const shown = (props = {}) => drawn(SeamRuler, { join: ruler(), fabrics: face.fabrics, units: 'in', ...props })

  it('lays both edges on each other from raw edge to raw edge', async () => {
    expect(rawEdges(await shown())).toEqual([
      [0, 2.25],
      [2.25, 4.5],
      [0, 4.5],
    ])
  })

  it('lets a sharp end hang over a square one, slanting as its own side does', async () => {
    const ends: JoinSheetShown['ends'] = [
      { name: 'left end', reach: [0.25, 0.603553], slant: [0, 1], lay: 'marked' },
      { name: 'right end', reach: [0.25, 0.25], slant: [0, 0], lay: 'level' },
    ]
    const marks = ruler().marks.map((mark) => ({ ...mark, place: [mark.place[0], mark.place[1] + 0.353553] as [number, number] }))
    const markup = await shown({ join: ruler({ ends, marks, edges: [[[0, 4, 'A']], [[0, 4, 'B']]] }) })
    expect(rawEdges(markup)).toEqual([
      [0.353553, 4.853553],
      [0, 4.853553],
    ])
    const [, slanted] = tags(markup, 'polygon', 'cloth') as [string, string]
    const corners = value(slanted, 'points').split(' ').map((corner) => corner.split(',').map(Number) as [number, number])
    expect((corners[3]?.[0] ?? 0) - (corners[0]?.[0] ?? 0)).toBeCloseTo((corners[3]?.[1] ?? 0) - (corners[0]?.[1] ?? 0))
    // What meets lies on each other though it is further from the longer raw end.
    const [pin] = tags(markup, 'line', 'pin') as [string]
    expect(Number(value(pin, 'x1'))).toBeCloseTo(Number(value(pin, 'x2')))
  })

  it('marks tips and seams, each in its own shape', async () => {
    const markup = await shown()
    expect(tags(markup, 'path', 'tip')).toHaveLength(1)
    expect(tags(markup, 'line', 'seam-line')).toHaveLength(2)
    expect(tags(markup, 'line', 'pin').map((tag) => value(tag, 'class'))).toEqual(['leave pin', 'pin'])
    expect(tags(markup, 'g', 'state-mark')).toHaveLength(1)
  })

  it('tells every place from an arm off, and which part lies on top from near by', async () => {
    const far = await shown({ isFar: true })
    expect(far.match(/class="fraction"/g)).toHaveLength(2)
    expect(far).not.toContain('on top')
    expect(await shown()).toContain('row 1, on top')
  })
})

describe('charts', () => {
  it('give every amount a name and words beside its length', async () => {
    const markup = await drawn(BarChart, { rows: [{ name: 'machine', amount: 40, words: '40 min' }, { name: 'iron', amount: 10, words: '10 min' }], label: 'Time by place' })
    expect(markup.match(/width:[\d.]+%/g)).toEqual(['width:100%', 'width:25%'])
    expect(markup).toContain('40 min')
    expect(await drawn(BarChart, { rows: [{ name: 'nothing', amount: 0, words: '0' }], label: '' })).toContain('width:0%')
  })

  it('tell seam tests from measured parts by their shape', async () => {
    const one = (isTest: boolean) => ({ at: 1, text: '17/32', value: 0.53125, ideal: isTest ? null : 0.5, isTest })
    const markup = await drawn(TakeUpChart, { takeUps: [one(false), one(true), one(false)], units: 'in' })
    expect([tags(markup, 'circle', 'dot').length, tags(markup, 'rect', 'dot').length]).toEqual([2, 1])
    expect(markup).toContain('squares from seam tests')
    expect(tags(markup, 'line', 'ideal')).toHaveLength(1)
    expect(await drawn(TakeUpChart, { takeUps: [one(false)], units: 'in' })).not.toContain('squares')
  })
})

describe('measuring by keys', () => {
  it('offers what a ruler shows round the size that is expected, each with its key', async () => {
    const markup = await drawn(MeasureKeys, { size: ['4 1/2', '2 1/2'], units: 'in' })
    const texts = [...markup.matchAll(/<button[^>]*>(.*?)<\/button>/g)].map((button) => (button[1] ?? '').replace(/<[^>]*>/g, ''))
    expect(texts.slice(0, 7)).toEqual(['4\u20095/161', '4\u20093/82', '4\u20097/163', '4\u20091/24', '4\u20099/165', '4\u20095/86', '4\u200911/167'])
    expect(texts.slice(7)).toEqual(['2\u20095/16', '2\u20093/8', '2\u20097/16', '2\u20091/2', '2\u20099/16', '2\u20095/8', '2\u200911/16'])
  })
})

describe('the pictures of a step', () => {
  const joins = [join(), join({ id: 1, from: [2, 2], to: [2, 4], patches: [2, 3] }), join({ id: 2, from: [0, 2], to: [4, 2], patches: [0, 1, 2, 3] })]
  const press = { block: { id: 1, name: 'Tide Gate', version: 1 }, face, joins, crossings: [], junctions: [], flaps: [] } as unknown as PressShown
  const step = (change: Partial<WorkStep> = {}): WorkStep => ({ key: 'a', do: 'join', place: 'machine', title: 'Rows', text: '', caution: '', times: 2, due: 2, counted: 0, joins: [0, 1], open: [0, 1], patches: [0, 1, 2, 3], size: null, isDone: false, ...change })
  const rows: StepPicture = {
    shown: [
      { patches: [0, 1], raw: [], flaps: [], size: ['4 1/2', '2 1/2'] },
      { patches: [2, 3], raw: [], flaps: [], size: ['4 1/2', '2 1/2'] },
    ],
    takes: [
      taking([[0], [1]], [{ from: [2, 0], to: [2, 2] }]),
      taking([[2], [3]], [{ from: [2, 2], to: [2, 4] }]),
    ],
    furls: [], stages: [],
      ruler: null,
    lookTwice: [1, 3].map((patch) => ({ row: 1, column: patch, ratio: 1, patch, side: null, right: [], wrong: [{ placement: { turn: 180, mirrored: false }, patches: [], ring: null }] })),
  } as StepPicture
  const shown = (props = {}) => drawn(StepPictures, { press, step: step(), picture: rows, isLeftHanded: false, isSecondLook: true, ...props })
  const captions = (markup: string) => [...markup.matchAll(/<figcaption[^>]*>(.*?)<\/figcaption>/g)].map((caption) => (caption[1] ?? '').replace(/<[^>]*>/g, '').replace(/\s+/g, ' ').trim())

  it('show what to take, how it is held and what comes of it, for the seam that is next', async () => {
    const markup = await shown()
    expect(captions(markup)).toEqual(['Take sew the stitched edge', 'In the hand sew at the right', 'Opened must measure 4 1/2 x 2 1/2', 'Look twice row 1, column 1'])
    expect(tags(markup, 'svg', 'pieces-apart')).toHaveLength(1)
  })

  it('go on to the next row once the first is counted', async () => {
    expect(captions(await shown({ step: step({ counted: 1 }) }))[3]).toBe('Look twice row 1, column 3')
    expect(captions(await shown({ step: step({ open: [1], due: 1 }) }))[3]).toBe('Look twice row 1, column 3')
  })

  it('show every kind of unit where one stands for all', async () => {
    const markup = await shown({ step: step({ joins: [0, 1, 5, 6], open: [0, 1, 5, 6] }) })
    expect(tags(markup, 'svg', 'pieces-apart')).toHaveLength(2)
  })

  it('leave the second look out where it is not wanted', async () => {
    expect(captions(await shown({ isSecondLook: false }))).toHaveLength(3)
    expect(captions(await shown({ isLeftHanded: true }))[1]).toBe('In the hand sew at the left')
  })

  it('show face and back at the iron, and the whole block when all is done', async () => {
    const iron = { ...rows, takes: [], lookTwice: [] }
    expect(captions(await shown({ step: step({ do: 'press' }), picture: iron }))).toEqual(['Face must measure 4 1/2 x 2 1/2', 'Back arrows show where the allowances lie'])
    expect(captions(await shown({ step: null, picture: null }))).toEqual(['Face', 'Back as it is pressed'])
    expect(captions(await shown({ step: step({ do: 'cut' }), picture: null }))).toEqual(['Face'])
  })
})
