import { computed, onBeforeUnmount, onMounted, reactive, shallowRef, type ComputedRef } from 'vue'

interface Refusal {
  /** The field that was refused comes last: "/sashes/width". */
  where: string
  words: string
}

/** What the server refused last, until something is taken again. */
const last = shallowRef<Refusal | null>(null)

/** How many fields of each name are on the screen. */
const inSight = reactive(new Map<string, number>())

export const refused = (refusal: Refusal) => (last.value = refusal)
export const taken = () => (last.value = null)

const fieldOf = (refusal: Refusal) => refusal.where.split('/').at(-1) ?? ''

/** Whether these words stand beside a field already. */
export const isBesideItsField = (words: string) => last.value !== null && last.value.words === words && (inSight.get(fieldOf(last.value)) ?? 0) > 0

/** What the server said of a field: to be shown beside it and nowhere else. */
export function useRefusal(field: () => string): ComputedRef<string> {
  const name = field()
  onMounted(() => name !== '' && inSight.set(name, (inSight.get(name) ?? 0) + 1))
  onBeforeUnmount(() => name !== '' && inSight.set(name, (inSight.get(name) ?? 1) - 1))
  return computed(() => (name !== '' && last.value !== null && fieldOf(last.value) === name ? last.value.words : ''))
}
