import { onBeforeUnmount, onMounted } from 'vue'
import { mayAct, useSingleKeys } from './useSingleKeys'

export interface StationKey {
  /** As a keyboard event names it: "t", "ArrowUp", "?". */
  key: string
  /** Control on most keyboards, Command on some. */
  control?: boolean
  shift?: boolean
  words: string
  act: () => void
}

/** Where a key is typed into something else, it is not meant for the station. */
const isElsewhere = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) || target.closest('dialog, [role="dialog"], [role="listbox"]') !== null)

/** Whether the key belongs to the button or link that has the focus. */
const isPress = (event: KeyboardEvent): boolean =>
  (event.key === 'Enter' || event.key === ' ') && event.target instanceof HTMLElement && event.target.closest('button, a, summary') !== null

export function keyFor(keys: StationKey[], event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey'> & { code?: string }): StationKey | undefined {
  if (event.altKey) return undefined
  const control = event.ctrlKey || event.metaKey
  // With Shift a digit's key writes something else on most keyboards, so it is known by its place.
  const digit = event.shiftKey ? /^(?:Digit|Numpad)(\d)$/.exec(event.code ?? '')?.[1] : undefined
  const name = digit ?? (event.key.length === 1 ? event.key.toLowerCase() : event.key)
  // "?" and digits are made with Shift on some keyboards and without on others.
  const isFree = (key: StationKey) => key.key.length === 1 && !/[a-z0-9]/.test(key.key)
  return keys.find((key) => key.key === name && (key.control ?? false) === control && (isFree(key) || (key.shift ?? false) === event.shiftKey))
}

/**
 * Listens for a station's keys as long as the screen is there.
 *
 * @param part what the keys belong to, as a selector: a quilter may have single keys act only while it has the focus
 */
export function useStationKeys(keys: () => StationKey[], part: string) {
  const single = useSingleKeys()
  const listen = (event: KeyboardEvent) => {
    if (isElsewhere(event.target) || isPress(event) || !mayAct(event, single.value, document.querySelector(part))) return
    const found = keyFor(keys(), event)
    if (found === undefined) return
    event.preventDefault()
    found.act()
  }
  onMounted(() => window.addEventListener('keydown', listen))
  onBeforeUnmount(() => window.removeEventListener('keydown', listen))
}
