import { describe, expect, it } from 'vitest'
import type { TopPicture, TopPlaceShown } from '@/api/types'
import TopFace from '@/drawing/TopFace.vue'
import { applied, doubled, grown, hangingBox, hangingMatrix, neighbour, placeMatrix, reached } from '@/drawing/topGeometry'
import { all, drawn, tags } from './drawn'

const place = (row: string, column: string, more: Partial<TopPlaceShown> = {}): TopPlaceShown => ({ row, column, at: [0, 0], block: 'tide', fabric: null, turn: 0, mirrored: false, pieces: [], ...more })

describe('placeMatrix', () => {
  // Of a block 6 wide and 4 high the upper left corner and a point one to the right of it.
  const laid = (turn: 0 | 90 | 180 | 270, mirrored: boolean) => [[0, 0], [1, 0]].map((point) => applied(placeMatrix({ at: [10, 20], turn, mirrored }, 6, 4), point))

  it('turns clockwise within the place', () => {
    expect(laid(0, false)).toEqual([[10, 20], [11, 20]])
    expect(laid(90, false)).toEqual([[14, 20], [14, 21]])
    expect(laid(180, false)).toEqual([[16, 24], [15, 24]])
    expect(laid(270, false)).toEqual([[10, 26], [10, 25]])
  })

  it('flips left to right before it turns', () => {
    expect(laid(0, true)).toEqual([[16, 20], [15, 20]])
    expect(laid(90, true)).toEqual([[14, 26], [14, 25]])
    expect(laid(180, true)).toEqual([[10, 24], [11, 24]])
    expect(laid(270, true)).toEqual([[10, 20], [10, 21]])
  })
})

describe('what hangs', () => {
  it('is the frame turned by 45 degrees clockwise on point', () => {
    const [x, y] = applied(hangingMatrix(true), [1, 0])
    expect([x, y].map((one) => one.toFixed(6))).toEqual(['0.707107', '0.707107'])
    const box = hangingBox({ isOnPoint: true, outline: [[0, 2], [2, 0], [4, 2], [2, 4]] })
    expect([box.width, box.height].map((one) => one.toFixed(4))).toEqual(['2.8284', '2.8284'])
    expect(grown({ left: 1, top: 2, width: 3, height: 4 }, 2)).toEqual({ left: -1, top: 0, width: 7, height: 8 })
  })

  it('knows halves', () => {
    expect(['2', '1/2', '1 1/2', '10 1/2'].map(doubled)).toEqual([4, 1, 3, 21])
  })
})

describe('reached', () => {
  const names = (places: TopPlaceShown[]) => places.map((one) => `${one.row}/${one.column}`)

  it('takes rows, columns, checkerboards and all', () => {
    const places = ['1', '2'].flatMap((row) => ['1', '2', '3'].map((column) => place(row, column)))
    const from = places[1] as TopPlaceShown
    expect(names(reached(places, from, 'this'))).toEqual(['1/2'])
    expect(names(reached(places, from, 'row'))).toEqual(['1/1', '1/2', '1/3'])
    expect(names(reached(places, from, 'column'))).toEqual(['1/2', '2/2'])
    expect(names(reached(places, from, 'other'))).toEqual(['1/2', '2/1', '2/3'])
    expect(reached(places, from, 'all')).toHaveLength(6)
  })

  it('takes the ring of a place, whatever shape the setting has', () => {
    const places = ['1', '2', '3', '4'].flatMap((row) => ['1', '2', '3', '4', '5'].map((column) => place(row, column)))
    const at = (row: string, column: string) => places.find((one) => one.row === row && one.column === column) as TopPlaceShown
    expect(reached(places, at('3', '5'), 'ring')).toHaveLength(14)
    expect(names(reached(places, at('2', '3'), 'ring'))).toEqual(['2/2', '2/3', '2/4', '3/2', '3/3', '3/4'])
  })

  it('takes the places between on point', () => {
    const places = [place('1', '1'), place('1', '2'), place('1 1/2', '1 1/2')]
    expect(names(reached(places, places[2] as TopPlaceShown, 'other'))).toEqual(['1 1/2/1 1/2'])
    expect(names(reached(places, places[0] as TopPlaceShown, 'other'))).toEqual(['1/1', '1/2'])
  })
})

const picture: TopPicture = {
  isOnPoint: false,
  outline: [[0, 0], [12, 0], [12, 6], [0, 6]],
  fabrics: [{ key: 'A', name: 'Sailcloth', color: '#eeeeee', value: 'light' }],
  blocks: [{ key: 'tide', width: 6, height: 6, patches: [{ fabric: 'A', points: [[0, 0], [6, 0], [0, 6]] }] }],
  places: [place('1', '1'), place('1', '2', { at: [6, 0], block: null, fabric: 'A' })],
  pieces: [],
  borders: [{ width: 2, fabric: 'A', corners: 'A' }],
}

describe('neighbour', () => {
  it('goes to the next place in a direction and stays at the edge', () => {
    const [first, second] = picture.places as [TopPlaceShown, TopPlaceShown]
    expect(neighbour(picture, first, 'right')).toBe(second)
    expect(neighbour(picture, second, 'left')).toBe(first)
    expect(neighbour(picture, first, 'up')).toBe(first)
  })
})

describe('TopFace', () => {
  it('draws a block once and shows it where it lies, in its borders', async () => {
    const markup = await drawn(TopFace, { picture, label: 'Top', turned: new Map([['1/1', 180]]), chosen: null })
    expect(all(markup, 'viewBox')).toEqual(['-2 -2 16 10'])
    expect(tags(markup, 'use')).toHaveLength(1)
    expect(tags(markup, 'rect')).toHaveLength(5)
    expect(all(markup, 'data-turned')).toEqual(['1/1'])
    expect(all(markup, 'data-place')).toEqual(['1/1', '1/2'])
  })
})
