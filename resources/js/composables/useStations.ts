import { computed, type Ref } from 'vue'
import type { PressShown } from '@/api/types'
import { counted } from '@/drawing/words'

/** The stations on the line of stitching, and how far the block has come at each. */
export function useStations(shown: Readonly<Ref<PressShown | null>>) {
  return computed(() => {
    const press = shown.value
    const note = press === null ? '' : `${press.totals.nested} of ${press.totals.matches} nest`
    const left = press === null ? 0 : press.steps.length - press.stepsDone
    return [
      { name: 'press', word: 'Press', note, isDone: (press?.stepsDone ?? 0) > 0 },
      { name: 'machine', word: 'Machine', note: press === null ? '' : left === 0 ? 'all sewn' : `${counted(left, 'step')} to go`, isDone: press !== null && left === 0 },
    ]
  })
}
