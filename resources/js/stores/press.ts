import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { pressAfter } from '@/api/changes'
import * as api from '@/api/client'
import type { JoinShown, LockAsked, PileChoice, PlanningShown, PressChanged, PressDirection, PressShown, PressStyle, RestOfSeams, SeamChoices, TurnNotPossible } from '@/api/types'

/** Milliseconds between two looks at a search. */
const LOOK = 1500

/** So many seams are drawn in a moment. */
const QUICK = 1500

const isOn = (search: PlanningShown) => search.state === 'waiting' || search.state === 'working'

export const usePressStore = defineStore('press', () => {
  const shown = shallowRef<PressShown | null>(null)
  const selectedId = ref<number | null>(null)
  const choices = shallowRef<SeamChoices | null>(null)
  const problem = ref<string | null>(null)
  /** The crossing at which what was asked cannot turn, and how its seams would have to lie. */
  const turn = shallowRef<TurnNotPossible | null>(null)
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
    if (seam) await lock(join, [other(seam.press[0])])
  }

  /** One stretch of it only: it changes sides at the crossings before and after. */
  async function flipStretch(join: number, stretch: number) {
    const seam = shown.value?.joins[join]
    if (seam) await lock(join, seam.press.map((press, i) => (i === stretch ? other(press) : press)))
  }

  const other = (press: PressDirection | undefined): PressDirection => (press === 'left' ? 'right' : 'left')

  const lock = (join: number, directions: PressDirection[]) => change((block, version) => api.lockSeam(block, version, join, directions), join)

  const lockAll = (locks: LockAsked[]) => change((block, version) => api.lockSeams(block, version, locks))

  const keepRules = (rules: { text: string; on: boolean }[]) => change((block, version) => api.keepRules(block, version, rules))

  const chooseWay = (own: boolean) => change((block, version) => api.chooseWay(block, version, own))

  const undo = () => (shown.value?.undo ? change(api.undoPress) : Promise.resolve())

  const redo = () => (shown.value?.redo ? change(api.redoPress) : Promise.resolve())

  const release = (join: number) => change((block, version) => api.releaseSeam(block, version, join), join)

  const releaseAll = () => change(api.releaseAll)

  const releaseAsleep = () => change(api.releaseAsleep)

  const chooseRest = (rest: RestOfSeams) => change((block, version) => api.chooseRest(block, version, rest))

  const chooseStyle = (style: PressStyle, lump?: number) => change((block, version) => api.chooseStyle(block, version, style, lump))

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

  /** Asks how the search is until it is at its end, and for the plan whenever a better one was found. */
  async function watchSearch() {
    const now = shown.value
    if (now?.planning === null || now?.planning === undefined || !isOn(now.planning)) return
    await new Promise((resolve) => setTimeout(resolve, LOOK))
    if (shown.value !== now) return
    const search = await api.planning(now.planning.key).catch(() => null)
    if (search === null || shown.value !== now) return
    // A very large one takes a while to be drawn; it is drawn anew once the search is at its end.
    const isQuick = now.joins.length <= QUICK
    if ((isQuick && search.found > now.planning.found) || !isOn(search)) shown.value = await api.press(now.block.id).catch(() => ({ ...now, planning: search }))
    else shown.value = { ...now, planning: search }
  }
  watch(shown, () => void watchSearch())

  async function stopSearch() {
    if (shown.value?.planning) await api.stopPlanning(shown.value.planning.key)
  }

  async function searchOn() {
    const now = shown.value
    if (!now?.planning) return
    await api.planOn(now.planning.key)
    await open(now.block.id)
  }

  async function told(work: () => Promise<void>) {
    problem.value = null
    turn.value = null
    waiting.value += 1
    try {
      await work()
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
      turn.value = error instanceof api.ProblemError ? error.turn : null
    } finally {
      waiting.value -= 1
    }
  }

  return { shown, selectedId, selected, choices, problem, turn, isSaving, open, select, flip, flipStretch, lock, lockAll, keepRules, chooseWay, undo, redo, release, releaseAll, releaseAsleep, stopSearch, searchOn, chooseRest, chooseStyle, choosePiles }
})

/** A seam of the block's own rows is the one worth looking at first. */
function firstFreeSeam(joins: JoinShown[]): number | null {
  return (joins.find((join) => !join.isOfUnit) ?? joins[0])?.id ?? null
}
