import { computed, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { RailShown } from '@/api/types'

/**
 * The stations on the line of stitching, and how far the block has come at each.
 *
 * @param state whatever changes when something was changed here; the stations are then asked for again
 */
export function useStations(block: () => number, state: () => unknown = () => null) {
  const rail = shallowRef<RailShown | null>(null)
  async function load() {
    const asked = block()
    const answer = await api.rail(asked).catch(() => null)
    if (block() === asked && answer !== null) rail.value = answer
  }
  watch(block, () => ((rail.value = null), void load()), { immediate: true })
  watch(state, (now, before) => {
    if (before !== undefined && before !== null && now !== before) void load()
  })
  return { stations: computed(() => rail.value?.stations ?? unknown), load }
}

/** Before the first answer: the line with nothing on it. */
const unknown: RailShown['stations'] = [
  ['wall', 'Wall'],
  ['cut', 'Cut and make'],
  ['order', 'Order'],
  ['press', 'Press'],
  ['joins', 'Joins'],
  ['machine', 'Machine'],
].map(([name = '', word = '']) => ({ name, word, note: '', isDone: false }))
