import { computed } from 'vue'
import { hints, type HintPlace } from '@/drawing/hints'
import { useKept } from './useKept'

const namesAt = (place: HintPlace) => hints[place].map((_, i) => `${place}-${i + 1}`)

/** Which hints were closed; they stay so until they are asked for again. */
export function useHints() {
  const kept = useKept('closed-hints', '')
  const closed = computed(() => kept.value.split(' ').filter((name) => name !== ''))
  return {
    closed,
    close: (name: string) => (kept.value = [...new Set([...closed.value, name])].join(' ')),
    showAgain: () => (kept.value = ''),
    /** Whether a place still has hints to show, and all of its own closed or back again. */
    hasLeft: (place: HintPlace) => namesAt(place).some((name) => !closed.value.includes(name)),
    setShown: (place: HintPlace, isShown: boolean) => {
      const others = closed.value.filter((name) => !namesAt(place).includes(name))
      kept.value = [...others, ...(isShown ? [] : namesAt(place))].join(' ')
    },
  }
}
