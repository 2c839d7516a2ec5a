import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { pressAfter } from '@/api/changes'
import * as api from '@/api/client'
import type { JoinShown, PileChoice, PressChanged, PressDirection, PressShown, PressStyle, RestOfSeams, SeamChoices } from '@/api/types'

export const usePressStore = defineStore('press', () => {
  const shown = shallowRef<PressShown | null>(null)
  const selectedId = ref<number | null>(null)
  const choices = shallowRef<SeamChoices | null>(null)
  const problem = ref<string | null>(null)
  const waiting = ref(0)

  const selected = computed<JoinShown | null>(() => shown.value?.joins[selectedId.value ?? -1] ?? null)
  const isSaving = computed(() => waiting.value > 0)

  async function open(block: number) {
    if (shown.value?.block.id !== block) {
      shown.value = null
      selectedId.value = null
    }
    await told(async () => {
      shown.value = await api.press(block)
      selectedId.value ??= firstFreeSeam(shown.value.joins)
    })
    await askChoices()
  }

  async function select(join: number) {
    selectedId.value = join
    await askChoices()
  }

  /** Presses the seam the other way and locks it so. */
  async function flip(join: number) {
    const seam = shown.value?.joins[join]
    if (seam) await lock(join, seam.press[0] === 'left' ? 'right' : 'left')
  }

  const lock = (join: number, direction: PressDirection) =>
    change((block, version) => api.lockSeam(block, version, join, direction), join)

  const release = (join: number) => change((block, version) => api.releaseSeam(block, version, join), join)

  const releaseAll = () => change(api.releaseAll)

  const releaseAsleep = () => change(api.releaseAsleep)

  const chooseRest = (rest: RestOfSeams) => change((block, version) => api.chooseRest(block, version, rest))

  const chooseStyle = (style: PressStyle) => change((block, version) => api.chooseStyle(block, version, style))

  const choosePiles = (choice: PileChoice) => change((block, version) => api.choosePiles(block, version, choice))

  async function change(ask: (block: number, version: number) => Promise<PressChanged>, join?: number) {
    const now = shown.value
    if (now === null || isSaving.value) return
    if (join !== undefined) selectedId.value = join
    await told(async () => {
      shown.value = pressAfter(now, await ask(now.block.id, now.block.version)) ?? (await api.press(now.block.id))
    })
    await askChoices()
  }

  /** What each way of pressing the selected seam would cost; an answer that comes too late is dropped. */
  async function askChoices() {
    const [block, join] = [shown.value?.block, selectedId.value]
    choices.value = null
    if (block === undefined || join === null) return
    const answer = await api.seamChoices(block.id, join).catch(() => null)
    if (shown.value?.block === block && selectedId.value === join) choices.value = answer
  }

  async function told(work: () => Promise<void>) {
    problem.value = null
    waiting.value += 1
    try {
      await work()
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    } finally {
      waiting.value -= 1
    }
  }

  return { shown, selectedId, selected, choices, problem, isSaving, open, select, flip, lock, release, releaseAll, releaseAsleep, chooseRest, chooseStyle, choosePiles }
})

/** A seam of the block's own rows is the one worth looking at first. */
function firstFreeSeam(joins: JoinShown[]): number | null {
  return (joins.find((join) => !join.isOfUnit) ?? joins[0])?.id ?? null
}
