import { watchEffect } from 'vue'
import { useKept } from './useKept'

/** Whether keys that type a character act by themselves: always, only while their part of the screen has the focus, or never. */
export type SingleKeys = 'always' | 'in-their-part' | 'never'

export const useSingleKeys = () => useKept<SingleKeys>('single-keys', 'always')

/** Letters, digits and signs, without Control; Enter, arrows and the space bar are no such keys. */
export const isSingleKey = (event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey'>): boolean => event.key.length === 1 && event.key !== ' ' && !event.ctrlKey && !event.metaKey

/** @param part of the screen that a key belongs to; null when it is not there */
export function mayAct(event: KeyboardEvent, keys: SingleKeys, part: Element | null): boolean {
  if (keys === 'always' || !isSingleKey(event)) return true
  return keys === 'in-their-part' && part !== null && event.target instanceof Node && part.contains(event.target)
}

/** Where they never act, the screens name no keys. */
export function useKeysInSight() {
  const keys = useSingleKeys()
  watchEffect(() => (document.documentElement.dataset.keys = keys.value))
}
