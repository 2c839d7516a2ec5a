import { ref, watch, type Ref } from 'vue'

/** A small choice that this browser remembers. */
export function useKept(name: string, usual: boolean): Ref<boolean>
export function useKept(name: string, usual: string): Ref<string>
export function useKept(name: string, usual: string | boolean): Ref<string | boolean> {
  const stored = localStorage.getItem(`keen-seam:${name}`)
  const choice = ref(stored === null ? usual : typeof usual === 'boolean' ? stored === 'true' : stored)
  watch(choice, (now) => localStorage.setItem(`keen-seam:${name}`, String(now)))
  return choice
}
