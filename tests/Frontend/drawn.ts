import { createSSRApp, type Component } from 'vue'
import { renderToString } from 'vue/server-renderer'
import type { FaceShown, JoinShown, Place, TakeShown } from '@/api/types'

/** The markup of a component, as the browser gets it first. */
export const drawn = (component: Component, props: Record<string, unknown>): Promise<string> => renderToString(createSSRApp(component, props))

/** Every value of an attribute, in the order of the markup. */
export const all = (markup: string, attribute: string): string[] => [...markup.matchAll(new RegExp(` ${attribute}="([^"]*)"`, 'gi'))].map((match) => match[1] ?? '')

/** The tags of one name whose class holds a word. */
export const tags = (markup: string, name: string, word = ''): string[] =>
  [...markup.matchAll(new RegExp(`<${name}[^>]*>`, 'g'))].map((match) => match[0]).filter((tag) => word === '' || new RegExp(`class="[^"]*\\b${word}\\b`).test(tag))

export const value = (tag: string, attribute: string): string => all(tag, attribute)[0] ?? ''

const square = (x: number, y: number): Place[] => [
  [x, y],
  [x + 2, y],
  [x + 2, y + 2],
  [x, y + 2],
]

/** Two squares of 2 in beside each other, a third below the first. */
export const face: FaceShown = {
  width: 4,
  height: 4,
  allowance: 0.25,
  units: 'in',
  finished: ['4', '4'],
  unfinished: ['4 1/2', '4 1/2'],
  fabrics: [
    { key: 'A', name: 'Sailcloth', color: '#ece5d6', value: 'light' },
    { key: 'B', name: 'Harbour ink', color: '#22405f', value: 'dark' },
  ],
  patches: [
    { id: 0, fabric: 'A', points: square(0, 0) },
    { id: 1, fabric: 'B', points: square(2, 0) },
    { id: 2, fabric: 'B', points: square(0, 2) },
    { id: 3, fabric: 'A', points: square(2, 2) },
  ],
} as FaceShown

export const join = (change: Partial<JoinShown> = {}): JoinShown => ({
  id: 0,
  title: 'Row 1, seam 1',
  left: 'unit 1',
  right: 'unit 2',
  ruled: false,
  cell: null,
  pile: [0],
  isOfUnit: false,
  place: null,
  from: [2, 0],
  to: [2, 2],
  leftSide: 1,
  press: ['left'],
  divisions: [],
  locked: false,
  isPressed: false,
  patches: [0, 1],
  ...change,
})

/** Pieces to take, by the numbers of their patches, drawn out to their finished edge. */
export const taking = (pieces: number[][], seams: TakeShown['seams']): TakeShown => ({
  pieces,
  raw: pieces.map((ids) => face.patches.filter((patch) => ids.includes(patch.id))),
  seams,
})
