import { computed } from 'vue'
import { useKept } from './useKept'

/** Which hints were closed; they stay so until they are asked for again. */
export function useHints() {
  const kept = useKept('closed-hints', '')
  const closed = computed(() => kept.value.split(' ').filter((name) => name !== ''))
  return {
    closed,
    close: (name: string) => (kept.value = [...new Set([...closed.value, name])].join(' ')),
    showAgain: () => (kept.value = ''),
  }
}
