import { computed } from 'vue'
import { useKept } from './useKept'

/** How this quilter works at the machine: hands, voice, pedal. */
export function useMachineChoices() {
  const pedalKey = useKept('pedal-key', 'PageDown')
  return {
    isLeftHanded: useKept('left-handed', false),
    isReadAloud: useKept('read-aloud', false),
    isSecondLook: useKept('second-look', true),
    isCounting: useKept('count-pieces', true),
    pedalKey,
    pedalWord: computed(() => (pedalKey.value === ' ' ? 'Space' : pedalKey.value)),
  }
}
