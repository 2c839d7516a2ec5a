import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { PressDirection } from '@/api/types'
import { usePressStore } from '@/stores/press'
import { face, join } from './drawn'

/** A server with one block of three seams, two of them in units, that keeps locks and versions. */
const server = { version: 1, locks: new Map<number, PressDirection>(), seen: [] as string[], isAway: false, slow: null as Promise<void> | null }

const joins = () => [join({ id: 0, isOfUnit: true }), join({ id: 1, isOfUnit: true }), join({ id: 2, title: 'Row 1, seam 1' })].map((one) => ({ ...one, pile: null, press: [server.locks.get(one.id) ?? 'left'] }))
const plan = () => `plan ${[...server.locks].join(' ')}`
const beside = () => ({ block: { id: 7, name: 'Tide Gate', version: server.version }, plan: plan(), locked: [...server.locks.keys()], pressed: [], ruled: [], ownWay: true, locks: server.locks.size })
const station = () => ({ ...beside(), face, joins: joins(), crossings: [], piles: [] })

async function serve(path: string, init: RequestInit = {}): Promise<Response> {
  if (server.isAway) throw new TypeError('no answer')
  const seam = /seams\/(\d+)\/choices/.exec(path)
  if (seam) {
    await server.slow
    return new Response(JSON.stringify({ choices: { left: { words: `of seam ${seam[1]}` } } }))
  }
  const method = init.method ?? 'GET'
  if (method !== 'GET') {
    const version = (init.headers as Record<string, string>)['If-Match'] ?? ''
    server.seen.push(`${method} ${path.replace('/api/blocks/7', '')} ${version}`)
    if (version !== `"${server.version}"`) return new Response(JSON.stringify({ code: 'changed-elsewhere', message: 'Changed in another window.' }), { status: 409 })
    const from = { plan: plan(), joins: joins() }
    server.version += 1
    const lock = /\/locks\/(\d+)/.exec(path)
    if (lock && method === 'PUT') server.locks.set(Number(lock[1]), (JSON.parse(String(init.body)) as { directions: [PressDirection] }).directions[0])
    else if (lock) server.locks.delete(Number(lock[1]))
    else if (path.endsWith('/locks')) server.locks.clear()
    const at = Object.fromEntries(joins().map((one, i) => [i, one] as const).filter(([i, one]) => one.press[0] !== from.joins[i]?.press[0]))
    return new Response(JSON.stringify({ ...beside(), from: from.plan, changed: { joins: { at } } }))
  }
  return new Response(JSON.stringify(station()))
}

beforeEach(() => {
  setActivePinia(createPinia())
  Object.assign(server, { version: 1, locks: new Map(), seen: [], isAway: false, slow: null })
  vi.stubGlobal('fetch', serve)
})

describe('the press station', () => {
  it('looks first at a seam of the rows, and tells what each way of it costs', async () => {
    const store = usePressStore()
    await store.open(7)
    expect([store.selectedId, store.selected?.title, store.choices?.left?.words]).toEqual([2, 'Row 1, seam 1', 'of seam 2'])
    await store.select(0)
    expect(store.choices?.left?.words).toBe('of seam 0')
  })

  it('presses a seam the other way and locks it so, over the version it has seen', async () => {
    const store = usePressStore()
    await store.open(7)
    await store.flip(2)
    expect(store.selected).toMatchObject({ press: ['right'], locked: true })
    await store.flip(2)
    expect(store.selected?.press).toEqual(['left'])
    await store.release(2)
    expect(store.selected?.locked).toBe(false)
    expect(server.seen).toEqual(['PUT /locks/2 "1"', 'PUT /locks/2 "2"', 'DELETE /locks/2 "3"'])
  })

  it('lets every lock go at once', async () => {
    const store = usePressStore()
    await store.open(7)
    await store.lock(0, ['open'])
    await store.lock(1, ['open'])
    await store.releaseAll()
    expect(store.shown?.locks).toBe(0)
  })

  it('tells of a change in another window and shows what it had', async () => {
    const store = usePressStore()
    await store.open(7)
    server.version = 5
    await store.flip(2)
    expect([store.problem, store.selected?.press]).toEqual(['Changed in another window.', ['left']])
    await store.open(7)
    expect([store.problem, store.shown?.block.version]).toEqual([null, 5])
  })

  it('takes no second change while the first is saved', async () => {
    const store = usePressStore()
    await store.open(7)
    const first = store.flip(2)
    expect(store.isSaving).toBe(true)
    await store.flip(0)
    await first
    expect(server.seen).toEqual(['PUT /locks/2 "1"'])
  })

  it('drops what is told too late of a seam it no longer looks at', async () => {
    const store = usePressStore()
    await store.open(7)
    let arrive = () => {}
    server.slow = new Promise((resolve) => (arrive = resolve))
    const late = store.select(0)
    server.slow = null
    await store.select(1)
    arrive()
    await late
    expect([store.selectedId, store.choices?.left?.words]).toEqual([1, 'of seam 1'])
  })

  it('says that nobody answers, in words', async () => {
    const store = usePressStore()
    server.isAway = true
    await store.open(7)
    expect([store.shown, store.problem]).toEqual([null, 'Keen Seam does not answer. See whether bin/start is still running, then try again.'])
  })
})
