import { computed, type Ref } from 'vue'
import type { Order, PressShown } from '@/api/types'
import { counted } from '@/drawing/words'

const orderNotes: Record<Order, string> = {
  rows: 'by rows',
  columns: 'by columns',
  quarters: 'in halves',
  diagonal: 'slanting rows',
  around: 'round a centre',
  best: 'fewest points',
}

/** The stations on the line of stitching, and how far the block has come at each. */
export function useStations(shown: Readonly<Ref<PressShown | null>>, order: Readonly<Ref<Order | undefined>>) {
  return computed(() => {
    const press = shown.value
    const note = press === null ? '' : `${press.totals.nested} of ${press.totals.matches} nest`
    const [sewn, all] = [press?.seamsSewn ?? 0, press?.joins.length ?? 0]
    return [
      { name: 'wall', word: 'Wall', note: press === null ? '' : counted(press.units, 'unit'), isDone: true },
      { name: 'cut', word: 'Cut and make', note: '', isDone: true },
      { name: 'order', word: 'Order', note: order.value ? orderNotes[order.value] : '', isDone: true },
      { name: 'press', word: 'Press', note, isDone: sewn > 0 },
      { name: 'joins', word: 'Joins', note: '', isDone: sewn > 0 },
      { name: 'machine', word: 'Machine', note: press === null ? '' : sewn === all ? 'all sewn' : `${sewn} of ${counted(all, 'seam')} sewn`, isDone: press !== null && sewn === all },
    ]
  })
}
