import { ref, watch, type Ref } from 'vue'

const kept = new Map<string, Ref<string | boolean>>()

/** A small choice that this browser remembers; the same one wherever it is asked for. */
export function useKept(name: string, usual: boolean): Ref<boolean>
export function useKept<Choice extends string = string>(name: string, usual: NoInfer<Choice>): Ref<Choice>
export function useKept(name: string, usual: string | boolean): Ref<string | boolean> {
  const known = kept.get(name)
  if (known !== undefined) return known
  const stored = localStorage.getItem(`keen-seam:${name}`)
  const choice = ref(stored === null ? usual : typeof usual === 'boolean' ? stored === 'true' : stored)
  watch(choice, (now) => localStorage.setItem(`keen-seam:${name}`, String(now)))
  kept.set(name, choice)
  return choice
}
