import { computed, shallowRef, watch, type Ref } from 'vue'
import * as api from '@/api/client'
import type { PressShown, RailShown } from '@/api/types'
import { counted } from '@/drawing/words'

const orderNotes: Record<string, string> = {
  rows: 'by rows',
  columns: 'by columns',
  quarters: 'in halves',
  twos: 'in twos',
  diagonal: 'slanting rows',
  around: 'round a centre',
  best: 'fewest points',
}

/** The figures of the stations, asked for when another block is shown; the station itself asks again where it changes them. */
export function useRail(block: () => number) {
  const rail = shallowRef<RailShown | null>(null)
  async function load() {
    const asked = block()
    const answer = await api.rail(asked).catch(() => null)
    if (block() === asked) rail.value = answer
  }
  watch(block, load, { immediate: true })
  return { rail, load }
}

export const railOf = (press: PressShown | null): RailShown | null =>
  press === null ? null : { units: press.units, nested: press.totals.nested, matches: press.totals.matches, sewn: press.seamsSewn, seams: press.joins.length, order: press.order }

/** The stations on the line of stitching, and how far the block has come at each. */
export function useStations(rail: Readonly<Ref<RailShown | null>>) {
  return computed(() => {
    const { units, nested, matches, sewn, seams, order } = rail.value ?? { units: null, nested: null, matches: null, sewn: 0, seams: 0, order: null }
    const isKnown = seams > 0
    return [
      { name: 'wall', word: 'Wall', note: units === null ? '' : counted(units, 'unit'), isDone: true },
      { name: 'cut', word: 'Cut and make', note: '', isDone: true },
      { name: 'order', word: 'Order', note: order === null ? '' : (orderNotes[order] ?? order.replace(/^own:/, '')), isDone: true },
      { name: 'press', word: 'Press', note: nested === null || matches === null ? '' : matches === 0 ? 'nothing to match' : `${nested} of ${matches} nest`, isDone: sewn > 0 },
      { name: 'joins', word: 'Joins', note: '', isDone: sewn > 0 },
      { name: 'machine', word: 'Machine', note: !isKnown ? '' : sewn === seams ? 'all sewn' : `${sewn} of ${counted(seams, 'seam')} sewn`, isDone: isKnown && sewn === seams },
    ]
  })
}
