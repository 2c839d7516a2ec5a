import { onMounted, onUnmounted, type Ref } from 'vue'
import { mayAct, useSingleKeys } from './useSingleKeys'

export interface MachineKeys {
  /** What the pedal types. */
  pedalKey: Ref<string>
  /** What the pedal and the space bar do. */
  go: () => unknown
  /** Number keys; false where they mean nothing just now. */
  number: (number: number) => boolean
  /** By key, in small letters. */
  deeds: Record<string, () => unknown>
}

/** What is open over the machine has keys of its own. */
const isInDialog = (event: KeyboardEvent) => event.target instanceof HTMLElement && event.target.closest('dialog, [role="dialog"]') !== null

/** The machine works by keys alone, so by any pedal that types one. */
export function useMachineKeys({ pedalKey, go, number, deeds }: MachineKeys) {
  const single = useSingleKeys()
  function onKey(event: KeyboardEvent) {
    if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || isInDialog(event)) return
    const isOnControl = event.target instanceof HTMLElement && event.target.closest('a, button, input, summary') !== null
    if (isOnControl && (event.key === ' ' || event.key === 'Enter')) return
    if (event.key === pedalKey.value || event.key === ' ') {
      event.preventDefault()
      void go()
    } else if (!mayAct(event, single.value, document.querySelector('main'))) {
      return
    } else if (/^[1-9]$/.test(event.key) && number(Number(event.key))) {
      event.preventDefault()
    } else {
      const deed = deeds[event.key.toLowerCase()]
      if (deed === undefined) return
      event.preventDefault()
      void deed()
    }
  }
  onMounted(() => window.addEventListener('keydown', onKey))
  onUnmounted(() => window.removeEventListener('keydown', onKey))
}
