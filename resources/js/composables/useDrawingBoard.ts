import { computed, ref, watch } from 'vue'
import type { Place } from '@/api/types'
import type { StationKey } from '@/composables/useStationKeys'
import { nextPlace } from '@/drawing/geometry'
import { useWallStore } from '@/stores/wall'

/** The hand at the drawing board: where the keys are, where a cut was begun, which patches are chosen. */
export function useDrawingBoard(paint: (patch: number, fabricAt: number) => void) {
  const wall = useWallStore()
  const at = ref<number | null>(null)
  const from = ref<number | null>(null)
  const isThrough = ref(false)
  /** Ids of patches. */
  const chosen = ref<number[]>([])

  // Marks and patches are other ones after every change.
  watch(
    () => wall.drawing,
    (now, before) => {
      if (now === null) return Object.assign(at, { value: null })
      const was = before?.marks[at.value ?? -1]
      const kept = was ? now.marks.findIndex((mark) => mark.x === was.x && mark.y === was.y) : -1
      at.value = kept >= 0 ? kept : at.value === null ? null : 0
      from.value = null
      if (now.patches.length !== before?.patches.length) chosen.value = []
    },
  )

  const place = computed(() => (wall.board === null ? [] : [wall.board]))
  const shareOf = (number: number): [string, string] => [wall.drawing?.marks[number]?.x ?? '0', wall.drawing?.marks[number]?.y ?? '0']
  const cutAlong = (a: [string, string], b: [string, string]) => wall.edit({ do: 'cut', places: place.value, from: a, to: b, ...(isThrough.value ? { through: true as const } : {}) })

  function cut(a: number, b: number) {
    from.value = null
    void cutAlong(shareOf(a), shareOf(b))
  }

  /** The first mark begins a cut, the second ends it. */
  function mark(number: number) {
    at.value = number
    if (from.value === null) from.value = number
    else if (from.value === number) from.value = null
    else cut(from.value, number)
  }

  function choose(id: number) {
    chosen.value = chosen.value.includes(id) ? chosen.value.filter((one) => one !== id) : [...chosen.value, id].slice(-2)
  }

  function nextPatch() {
    const ids = (wall.drawing?.patches ?? []).map((patch) => patch.id)
    const last = ids.indexOf(chosen.value.at(-1) ?? -1)
    chosen.value = [ids[(last + 1) % ids.length] ?? 0]
  }

  /** Beside the one that is chosen, the next. */
  function nextBeside() {
    const ids = (wall.drawing?.patches ?? []).map((patch) => patch.id)
    const first = chosen.value[0]
    if (first === undefined) return nextPatch()
    const others = ids.filter((id) => id !== first)
    chosen.value = [first, others[(others.indexOf(chosen.value[1] ?? -1) + 1) % others.length] ?? first]
  }

  const canSewBack = computed(() => chosen.value.length === 2)

  function sewBack() {
    const numbers = chosen.value.map((id) => (wall.drawing?.patches ?? []).findIndex((patch) => patch.id === id))
    if (numbers.length === 2) void wall.edit({ do: 'sew-back', places: place.value, patches: [Math.min(...numbers), Math.max(...numbers)] })
  }

  function go(direction: Place) {
    const marks = wall.drawing?.marks.map((one) => one.at) ?? []
    at.value = at.value === null ? 0 : nextPlace(marks, at.value, direction)
  }

  function leave() {
    if (from.value !== null) from.value = null
    else if (chosen.value.length > 0) chosen.value = []
    else wall.leaveBoard()
  }

  /** Gives the chosen patches the fabric of that number; false where none is chosen. */
  function give(fabricAt: number): boolean {
    chosen.value.forEach((id) => paint(id, fabricAt))
    return chosen.value.length > 0
  }

  const keys = computed<StationKey[]>(() => [
    { key: 'ArrowUp', words: 'go from mark to mark', act: () => go([0, -1]) },
    { key: 'ArrowDown', words: 'go from mark to mark', act: () => go([0, 1]) },
    { key: 'ArrowLeft', words: 'go from mark to mark', act: () => go([-1, 0]) },
    { key: 'ArrowRight', words: 'go from mark to mark', act: () => go([1, 0]) },
    { key: 'Enter', words: 'begin a cut here, or end it here', act: () => at.value !== null && mark(at.value) },
    { key: 'x', words: 'cut through everything, or between the marks', act: () => (isThrough.value = !isThrough.value) },
    { key: 'n', words: 'choose the next patch', act: nextPatch },
    { key: 'n', shift: true, words: 'choose another beside it', act: nextBeside },
    { key: 'j', words: 'sew two chosen patches into one', act: sewBack },
    ...Array.from({ length: 9 }, (_, i) => ({ key: `${i + 1}`, words: 'give the chosen patches the fabric of that number', act: () => give(i) })),
    { key: 'Escape', words: 'let go of the cut, or back to the wall', act: leave },
  ])

  return { at, from, isThrough, chosen, canSewBack, keys, cut, cutAlong, mark, choose, sewBack, give, leave }
}
