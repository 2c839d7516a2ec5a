// @vitest-environment node
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { WorkEvent, WorkStep } from '@/api/types'
import { useWorkStore } from '@/stores/work'

/** A server of four steps that does each event once, and may be away or lose its answer. */
const server = { done: new Set<string>(), seen: [] as string[], isAway: false, losesAnswer: false, refuses: '', hasGone: false, pausedAt: null as number | null, chain: 'row-by-row' }
const keys = ['cut-a', 'join-b', 'press-c', 'measure-d']
const stored = new Map<string, string>()

const step = (key: string): WorkStep => ({ key, do: key.split('-')[0] as WorkStep['do'], place: 'table', title: key, text: key, caution: '', times: 1, due: 1, counted: 0, joins: [], open: [], patches: [], size: null, isDone: server.done.has(key) })
const mark = () => [...server.done].join(' ')
const work = () => ({ steps: keys.map(step), sewn: [], mark: mark(), plan: 'a', blocks: 1, chain: server.chain, pausedAt: server.pausedAt })

function answer(path: string, init?: RequestInit): Response {
  if (server.isAway) throw new TypeError('no answer')
  const said: unknown[] = []
  if (server.hasGone) return new Response(JSON.stringify({ code: 'not-there', message: 'That block is not on the shelf.' }), { status: 404 })
  if (path.endsWith('/chain')) server.chain = (JSON.parse(String(init?.body)) as { chain: string }).chain
  if (path.endsWith('/events')) {
    const sent = JSON.parse(String(init?.body)) as { events: WorkEvent[]; mark: string }
    const { events } = sent
    const [isWhole, before] = [sent.mark !== mark(), new Set(server.done)]
    if (events.length > 500) return new Response(JSON.stringify({ code: 'too-many', message: 'Too many at once.' }), { status: 422 })
    for (const event of events) {
      if (server.seen.includes(event.id)) continue
      if (event.step === server.refuses) {
        said.push({ id: event.id, of: '', message: 'Measure again.', isRefused: true })
        continue
      }
      server.seen.push(event.id)
      server.pausedAt = event.do === 'paused' ? event.at : null
      if (event.do === 'measured') said.push({ id: event.id, of: 'Row 1', message: 'Fine: leave it.', isRefused: false })
      if (event.step === undefined) continue
      if (event.do === 'back') server.done.delete(event.step ?? '')
      else server.done.add(event.step ?? '')
    }
    if (server.losesAnswer) {
      server.losesAnswer = false
      throw new TypeError('answer lost')
    }
    const steps = keys.filter((key) => isWhole || before.has(key) !== server.done.has(key)).map((key) => ({ key, due: 1, counted: 0, open: [], isDone: server.done.has(key) }))
    return new Response(JSON.stringify({ steps, isWhole, sewn: [], opened: [], mark: mark(), plan: 'a', pausedAt: server.pausedAt, said }))
  }
  return new Response(JSON.stringify({ ...work(), said }))
}

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers()
  Object.assign(server, { done: new Set(), seen: [], isAway: false, losesAnswer: false, refuses: '', hasGone: false, pausedAt: null, chain: 'row-by-row' })
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

  it('says of which part a size was judged, until the next key', async () => {
    const store = useWorkStore()
    server.done = new Set(keys.slice(0, 3))
    await store.open(3)
    await store.measured('12 1/2', '2 1/2')
    expect([store.saidOf, store.said]).toEqual(['Row 1', 'Fine: leave it.'])
    await store.back()
    expect(store.said).toBe('')
  })

  it('is put down and taken up again, over a reload and without a server', async () => {
    const store = useWorkStore()
    await store.open(3)
    server.isAway = true
    await store.pause()
    expect([store.isPaused, store.isSaved]).toEqual([true, false])
    setActivePinia(createPinia())
    server.isAway = false
    const again = useWorkStore()
    await again.open(3)
    expect([again.isPaused, again.isSaved]).toEqual([true, true])
    await again.resume()
    expect([again.isPaused, server.pausedAt]).toEqual([false, null])
  })

  it('keeps what a server refuses as a whole, tells why and does not ask on', async () => {
    const store = useWorkStore()
    await store.open(3)
    server.hasGone = true
    await store.done()
    expect([store.problem, store.queue.length]).toEqual(['That block is not on the shelf.', 1])
    expect(vi.getTimerCount()).toBe(0)
    server.hasGone = false
    await store.open(3)
    expect([store.problem, store.at, store.isSaved]).toEqual([null, 1, true])
  })

  it('sends the keys of a long evening without a server in parts, in order', async () => {
    const store = useWorkStore()
    await store.open(3)
    server.isAway = true
    for (let i = 0; i < 350; i += 1) {
      await store.done()
      await store.back()
    }
    await store.done()
    expect(store.queue).toHaveLength(701)
    const pressed = store.queue.map((event) => event.id)
    server.isAway = false
    await vi.advanceTimersByTimeAsync(2000)
    expect([store.at, store.isSaved, store.problem]).toEqual([1, true, null])
    expect(server.seen).toEqual(pressed)
  })

  it('keeps the keys of each block apart', async () => {
    const store = useWorkStore()
    await store.open(3)
    server.isAway = true
    await store.done()
    server.isAway = false
    await store.open(4)
    expect([store.queue.length, store.isSaved]).toEqual([0, true])
    await store.open(3)
    expect([store.at, store.isSaved]).toEqual([1, true])
  })

  it('asks for the steps of the other chain', async () => {
    const store = useWorkStore()
    await store.open(3)
    await store.sewAs('webbed')
    expect(store.answered?.chain).toBe('webbed')
    server.isAway = true
    await store.sewAs('row-by-row')
    expect(store.problem).toContain('does not answer')
  })
})
