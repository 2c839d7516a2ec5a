// @vitest-environment node
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { WorkEvent, WorkStep } from '@/api/types'
import { useWorkStore } from '@/stores/work'

/** A server of four steps that does each event once, and may be away or lose its answer. */
const server = { done: new Set<string>(), seen: [] as string[], isAway: false, losesAnswer: false, refuses: '' }
const keys = ['cut-a', 'join-b', 'press-c', 'measure-d']
const stored = new Map<string, string>()

const step = (key: string): WorkStep => ({ key, do: key.split('-')[0] as WorkStep['do'], place: 'table', title: key, text: key, caution: '', times: 1, due: 1, counted: 0, joins: [], open: [], patches: [], size: null, isDone: server.done.has(key) })
const work = () => ({ steps: keys.map(step), sewn: [], plan: 'a', blocks: 1, chain: 'row-by-row', pausedAt: null })

function answer(path: string, init?: RequestInit): Response {
  if (server.isAway) throw new TypeError('no answer')
  const said: unknown[] = []
  if (path.endsWith('/events')) {
    for (const event of (JSON.parse(String(init?.body)) as { events: WorkEvent[] }).events) {
      if (server.seen.includes(event.id)) continue
      if (event.step === server.refuses) {
        said.push({ id: event.id, of: '', message: 'Measure again.', isRefused: true })
        continue
      }
      server.seen.push(event.id)
      if (event.do === 'back') server.done.delete(event.step ?? '')
      else server.done.add(event.step ?? '')
    }
    if (server.losesAnswer) {
      server.losesAnswer = false
      throw new TypeError('answer lost')
    }
  }
  return new Response(JSON.stringify({ ...work(), said }))
}

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers()
  Object.assign(server, { done: new Set(), seen: [], isAway: false, losesAnswer: false, refuses: '' })
  stored.clear()
  vi.stubGlobal('localStorage', { getItem: (name: string) => stored.get(name) ?? null, setItem: (name: string, value: string) => void stored.set(name, value) })
  vi.stubGlobal('fetch', (path: string, init?: RequestInit) => Promise.resolve().then(() => answer(path, init)))
})

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('the work at the machine', () => {
  it('shows the next step at once and sends what was done', async () => {
    const store = useWorkStore()
    await store.open(3)
    const sent = store.done()
    expect(store.at).toBe(1)
    expect(store.isSaved).toBe(false)
    await sent
    expect([store.at, store.isSaved, [...server.done]]).toEqual([1, true, ['cut-a']])
    await store.back()
    await vi.runAllTimersAsync()
    expect([store.at, [...server.done]]).toEqual([0, []])
  })

  it('keeps keys while nobody answers, over a reload, and sends them in order', async () => {
    const store = useWorkStore()
    await store.open(3)
    server.isAway = true
    await store.done()
    await store.done()
    expect([store.at, store.isAway, store.queue.length]).toEqual([2, true, 2])

    setActivePinia(createPinia())
    server.isAway = false
    const again = useWorkStore()
    await again.open(3)
    expect([again.at, again.isSaved, [...server.done]]).toEqual([2, true, ['cut-a', 'join-b']])
  })

  it('does once what had to be sent twice', async () => {
    const store = useWorkStore()
    await store.open(3)
    server.losesAnswer = true
    await store.done()
    expect(store.isAway).toBe(true)
    await vi.advanceTimersByTimeAsync(2000)
    expect([store.at, store.isSaved, server.seen.length]).toEqual([1, true, 1])
  })

  it('tells why a size is refused and stays at its step', async () => {
    const store = useWorkStore()
    server.done = new Set(keys.slice(0, 3))
    server.refuses = 'measure-d'
    await store.open(3)
    await store.measured('40', '4')
    expect([store.problem, store.at, store.isSaved]).toEqual(['Measure again.', 3, true])
    await store.otherwise()
    expect(store.at).toBe(3)
  })
})
