import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { workAfter } from '@/api/changes'
import * as api from '@/api/client'
import type { Chain, HandMend, UnpickCause, WorkEvent, WorkShown } from '@/api/types'
import { isPausedAfter, left, stepsAfter } from './keyed'

/** How long to wait before a server that does not answer is asked again, in milliseconds. */
const PAUSE = 1500

/** So many keys are sent at once; the server takes no more than a few hundred. */
const MOST_AT_ONCE = 200

/**
 * The work at the machine. Every key is kept in the browser before anything is shown, then sent in order; the server
 * does each once, however often it is sent.
 */
export const useWorkStore = defineStore('work', () => {
  const block = ref<number | null>(null)
  const answered = shallowRef<WorkShown | null>(null)
  const queue = shallowRef<WorkEvent[]>([])
  const problem = ref<string | null>(null)
  const said = ref('')
  /** The part it is said of. */
  const saidOf = ref('')
  const isAway = ref(false)
  let isSending = false
  let later: ReturnType<typeof setTimeout> | undefined

  /** The steps with what was keyed since the server last answered. */
  const steps = computed(() => stepsAfter(answered.value?.steps ?? [], queue.value))
  const isPaused = computed(() => isPausedAfter(answered.value?.pausedAt ?? null, queue.value))
  const at = computed(() => {
    const next = steps.value.findIndex((step) => !step.isDone)
    return next < 0 ? steps.value.length : next
  })
  const step = computed(() => steps.value[at.value] ?? null)
  const isSaved = computed(() => queue.value.length === 0)

  async function open(number: number) {
    if (block.value !== number) {
      answered.value = null
      said.value = ''
    }
    block.value = number
    queue.value = kept(number)
    problem.value = null
    try {
      const work = await api.work(number)
      if (block.value === number) answered.value = work
    } catch (error) {
      problem.value = words(error)
    }
    await send()
  }

  /** The whole step, however often it is still to be done. */
  const done = () => step.value && tell({ do: 'done', step: step.value.key })

  /** One of its times; the step itself where it is done only once. */
  const count = () => step.value && tell({ do: step.value.due > 1 ? 'counted' : 'done', step: step.value.key })

  const otherwise = () => step.value?.do === 'press' && tell({ do: 'otherwise', step: step.value.key })

  const measured = (width: string, height: string) => step.value?.do === 'measure' && tell({ do: 'measured', step: step.value.key, width, height })

  /** The last key taken back: one that was counted, or the step before this one. */
  function back() {
    const last = step.value !== null && step.value.counted > 0 ? step.value : steps.value.slice(0, at.value).at(-1)
    if (last) return tell({ do: 'back', step: last.key })
  }

  const unpick = (join: number, cause: UnpickCause, blocks: number, reason = '') => tell({ do: 'unpicked', join, cause, blocks, ...(reason === '' ? {} : { reason }) })

  /** Pieces of the step that is being sewn. */
  const unpickHere = (count: number, cause: UnpickCause, reason = '') => step.value && tell({ do: 'unpicked', step: step.value.key, count, cause, ...(reason === '' ? {} : { reason }) })

  const mendHands = (unit: string, count: number, how: HandMend) => tell({ do: 'unpicked', unit, count, how, cause: 'wrong-hand' })

  const pause = () => tell({ do: 'paused' })

  const resume = () => tell({ do: 'resumed' })

  async function sewAs(chain: Chain) {
    if (block.value === null) return
    try {
      answered.value = await api.chooseChain(block.value, chain)
    } catch (error) {
      problem.value = words(error)
    }
  }

  function tell(event: Omit<WorkEvent, 'id' | 'at'>): Promise<void> {
    if (block.value === null) return Promise.resolve()
    said.value = ''
    keep([...kept(block.value), { ...event, id: crypto.randomUUID(), at: Date.now() }])
    return send()
  }

  /** Sends what waits; when nobody answers it is tried again, and nothing is lost meanwhile. */
  async function send(): Promise<void> {
    if (isSending || block.value === null || queue.value.length === 0) return
    isSending = true
    clearTimeout(later)
    const [number, sent] = [block.value, queue.value.slice(0, MOST_AT_ONCE)]
    try {
      const answer = await api.tellWork(number, sent, answered.value?.mark ?? '')
      if (block.value !== number) return
      const now = answered.value === null ? null : workAfter(answered.value, answer)
      answered.value = now ?? (await api.work(number))
      const ids = new Set(sent.map((event) => event.id))
      keep(kept(number).filter((event) => !ids.has(event.id)))
      isAway.value = false
      for (const one of answer.said) {
        if (one.isRefused) problem.value = one.message
        else [saidOf.value, said.value] = [one.of, one.message]
      }
    } catch (error) {
      isAway.value = true
      // What the server has read and refused as a whole is kept until the quilter loads it again; asking on would not help.
      if (error instanceof api.ProblemError && error.code !== 'no-answer' && error.code !== '') problem.value = error.message
      else later = setTimeout(() => void send(), PAUSE)
      return
    } finally {
      isSending = false
    }
    await send()
  }

  function keep(events: WorkEvent[]) {
    if (block.value === null) return
    localStorage.setItem(place(block.value), JSON.stringify(events))
    queue.value = events
  }

  const timesLeft = computed(() => (step.value === null ? 0 : left(step.value)))

  return { steps, at, step, timesLeft, problem, said, saidOf, isAway, isSaved, isPaused, queue, open, done, count, back, otherwise, measured, unpick, unpickHere, mendHands, pause, resume, sewAs, answered }
})

const place = (block: number) => `keen-seam:work:${block}`

function kept(block: number): WorkEvent[] {
  try {
    const events: unknown = JSON.parse(localStorage.getItem(place(block)) ?? '[]')
    return Array.isArray(events) ? (events as WorkEvent[]) : []
  } catch {
    return []
  }
}

const words = (error: unknown) => (error instanceof Error ? error.message : String(error))
