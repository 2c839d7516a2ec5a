import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { WallCell, WallEdit, WallShown } from '@/api/types'
import { useWallStore } from '@/stores/wall'

/** A wall of 3 x 3 plain cells on a server that lives in this file. */
const server = {
  version: 1,
  edits: [] as WallEdit[],
  /** Versions sent with each change. */
  seen: [] as string[],
  odd: new Map<string, { turn: number }>(),
}

const cell = (row: number, column: number): WallCell => ({
  row,
  column,
  rowSpan: 1,
  columnSpan: 1,
  kind: row === 3 && column === 3 ? 'grid' : 'plain',
  name: 'plain patch',
  turn: 0,
  mirrored: false,
  label: null,
  patches: [(row - 1) * 3 + column - 1],
  signature: 'plain Cream',
  hand: null,
  odd: server.odd.has(`${row}.${column}`) ? { mend: { turn: 90, mirrored: false }, isMeant: false } : null,
  different: null,
  corners: null,
  entry: { row, column, unit: 'plain', fabrics: ['A'] },
})

const wall = (path = ''): WallShown => ({
  block: { id: 7, name: 'Test', version: server.version },
  history: { undo: null, redo: null },
  face: { width: 6, height: 6, units: 'in', allowance: 0.25, finished: ['6'], unfinished: ['6 1/2'], fabrics: [], patches: [] },
  path,
  firstPatch: 0,
  columns: Array.from({ length: 3 }, () => ({ size: '2', width: 2 })),
  rows: Array.from({ length: 3 }, () => ({ size: '2', width: 2 })),
  cells: [1, 2, 3].flatMap((row) => [1, 2, 3].map((column) => cell(row, column))),
  trios: {},
  alike: 0,
  symmetry: { name: 'full', words: 'the same from every side' },
  hands: [],
  says: [],
  asks: [],
  firstFigure: 'A',
  awkward: [],
  friendly: [],
  allowance: '1/4',
  hasPicture: false,
  wholeDifference: null,
  order: 'rows',
  style: 'nest',
})

const answer = (status: number, body: unknown) => new Response(JSON.stringify(body), { status })

function serve(address: string, sent: RequestInit = {}): Response {
  const path = new URL(address, 'http://here').searchParams.get('path') ?? ''
  if (address.includes('/figures')) return answer(200, { version: server.version, patches: 9, units: [], figures: {}, lookTwice: [] })
  if (sent.method !== 'POST') return answer(200, wall(path))
  const version = (sent.headers as Record<string, string>)['If-Match'] ?? ''
  server.seen.push(version)
  if (version !== `"${server.version}"`) return answer(409, { code: 'changed-elsewhere', message: 'It was changed in another window.', where: '/version' })
  const edit = (JSON.parse(String(sent.body)) as { edit: WallEdit }).edit
  if (edit.do === 'size') return answer(422, { code: 'length-not-readable', message: '"big" is not a length.', where: '' })
  server.edits.push(edit)
  server.version += 1
  if (edit.do === 'mend') edit.places.forEach((place) => server.odd.delete(place.join('.')))
  return answer(200, wall(path))
}

beforeEach(() => {
  setActivePinia(createPinia())
  const kept = new Map<string, string>()
  vi.stubGlobal('localStorage', { getItem: (name: string) => kept.get(name) ?? null, setItem: (name: string, value: string) => void kept.set(name, value) })
  Object.assign(server, { version: 1, edits: [], seen: [], odd: new Map() })
  vi.stubGlobal('fetch', vi.fn((address: string, sent?: RequestInit) => Promise.resolve(serve(address, sent))))
})

describe('the wall', () => {
  it('saves changes one after the other, each over the version the one before it made', async () => {
    const store = useWallStore()
    await store.open(7)
    void store.move({ turn: 90, mirrored: false })
    void store.edit({ do: 'swap', places: [[1, 1]] })
    expect(store.isSaving).toBe(true)
    await store.edit({ do: 'clear', places: [[2, 2]] })

    expect(server.seen).toEqual(['"1"', '"2"', '"3"'])
    expect(server.edits.map((edit) => edit.do)).toEqual(['move', 'swap', 'clear'])
    expect([store.isSaving, store.problem, store.shown?.block.version]).toEqual([false, null, 4])
  })

  it('keeps changes while nothing answers and sends them again, in order', async () => {
    vi.useFakeTimers()
    const store = useWallStore()
    await store.open(7)
    const works = globalThis.fetch
    const mishaps: (() => Promise<Response>)[] = [
      () => Promise.reject(new TypeError('no route')),
      () => Promise.resolve(answer(507, { code: 'disk-full', message: 'The disk is full.', where: '' })),
      () => Promise.resolve(answer(503, { code: 'shelf-missing', message: 'Not there.', where: '' })),
    ]
    vi.stubGlobal('fetch', vi.fn((address: string, sent?: RequestInit) => (sent?.method === 'POST' ? mishaps.shift()?.() : undefined) ?? works(address, sent)))
    void store.edit({ do: 'swap', places: [[1, 1]] })
    const all = store.edit({ do: 'clear', places: [[2, 2]] })
    await vi.advanceTimersByTimeAsync(0)
    expect([store.isUnsent, store.isSaving, server.edits]).toEqual([true, true, []])
    expect(store.problem).toBe('Keen Seam does not answer. See whether bin/start is still running. What you changed last waits here and is sent again by itself.')
    await vi.advanceTimersByTimeAsync(2000)
    expect(store.problem).toBe('The disk is full. What you changed last waits here and is sent again by itself.')
    await vi.advanceTimersByTimeAsync(4000)
    await all
    vi.useRealTimers()
    expect(server.edits.map((edit) => edit.do)).toEqual(['swap', 'clear'])
    expect([store.isUnsent, store.isSaving, store.problem]).toEqual([false, false, null])
  })

  it('asks once more by itself when another window was just saving, and not for ever', async () => {
    vi.useFakeTimers()
    const store = useWallStore()
    await store.open(7)
    const works = globalThis.fetch
    let busy = 2
    const busily = vi.fn((address: string, sent?: RequestInit) =>
      sent?.method === 'POST' && busy-- > 0 ? Promise.resolve(new Response(JSON.stringify({ code: 'shelf-busy', message: 'Busy.', where: '' }), { status: 503, headers: { 'Retry-After': '1' } })) : works(address, sent))
    vi.stubGlobal('fetch', busily)
    const done = store.edit({ do: 'swap', places: [[1, 1]] })
    await vi.advanceTimersByTimeAsync(2000)
    await done
    expect([store.problem, server.edits.length, busily.mock.calls.filter(([, sent]) => sent?.method === 'POST').length]).toEqual([null, 1, 3])
    vi.useRealTimers()
  })

  it('does not send again what was refused', async () => {
    const store = useWallStore()
    await store.open(7)
    await store.edit({ do: 'size', width: 'big', height: '2' })
    expect([store.isUnsent, store.isSaving, server.seen.length]).toEqual([false, false, 1])
  })

  it('keeps the cursor on the wall and chooses the rectangle between anchor and cursor', async () => {
    const store = useWallStore()
    await store.open(7)
    store.select([2, 2])
    store.select([9, 0], true)

    expect([store.anchor, store.cursor]).toEqual([[2, 2], [3, 1]])
    expect(store.places).toEqual([[2, 1], [2, 2], [3, 1], [3, 2]])
  })

  it('pastes what was copied with its upper left at the cursor', async () => {
    const store = useWallStore()
    await store.open(7)
    store.select([2, 2])
    store.select([2, 3], true)
    store.copy()
    store.select([1, 1])
    await store.paste()

    expect(server.edits).toEqual([{ do: 'lay', cells: [{ row: 1, column: 1, unit: 'plain', fabrics: ['A'] }, { row: 1, column: 2, unit: 'plain', fabrics: ['A'] }] }])
  })

  it('carries what is chosen along with the cursor', async () => {
    const store = useWallStore()
    await store.open(7)
    await store.carry(1, 2)

    expect(server.edits).toEqual([{ do: 'carry', places: [[1, 1]], down: 1, right: 2 }])
    expect(store.cursor).toEqual([2, 3])
  })

  it('goes to an odd one, then mends it', async () => {
    server.odd.set('3.2', { turn: 90 })
    const store = useWallStore()
    await store.open(7)
    await store.mend()
    expect([store.cursor, server.edits]).toEqual([[3, 2], []])
    await store.mend()

    expect(server.edits).toEqual([{ do: 'mend', places: [[3, 2]] }])
    expect(store.oddOnes).toEqual([])
  })

  it('mends all that can be mended', async () => {
    server.odd.set('1.2', { turn: 90 }).set('2.1', { turn: 90 })
    const store = useWallStore()
    await store.open(7)
    await store.mendAll()

    expect(server.edits).toEqual([{ do: 'mend', places: [[1, 2], [2, 1]] }])
  })

  it('says what is wrong and shows nothing that was not saved', async () => {
    const store = useWallStore()
    await store.open(7)
    await store.edit({ do: 'size', width: 'big', height: '6' })

    expect([store.problem, store.shown?.block.version, store.held]).toEqual(['"big" is not a length.', 1, null])
  })

  it('holds a change back when another window saved first, and makes it on top when asked', async () => {
    const store = useWallStore()
    await store.open(7)
    server.version = 5
    await store.edit({ do: 'swap', places: [[1, 1]] })
    expect([store.problem, store.held !== null, server.edits]).toEqual(['It was changed in another window.', true, []])

    await store.edit({ do: 'clear', places: [[1, 1]] })
    expect(server.edits).toEqual([]) // nothing more is sent until the quilter has decided

    await store.settle(true)
    expect(server.edits).toEqual([{ do: 'swap', places: [[1, 1]] }, { do: 'clear', places: [[1, 1]] }]) // what was asked meanwhile, too
    expect([store.problem, store.held, store.shown?.block.version]).toEqual([null, null, 7])
  })

  it('drops the change and shows the newest when that is asked', async () => {
    const store = useWallStore()
    await store.open(7)
    server.version = 5
    await store.edit({ do: 'swap', places: [[1, 1]] })
    await store.settle(false)

    expect([server.edits, store.shown?.block.version, store.problem]).toEqual([[], 5, null])
  })

  it('takes the newest when the quilter comes back to the window', async () => {
    const store = useWallStore()
    await store.open(7)
    server.version = 3
    await store.refresh()

    expect(store.shown?.block.version).toBe(3)
  })

  it('opens a small grid and leaves it again', async () => {
    const store = useWallStore()
    await store.open(7)
    await store.goInto()
    expect(store.path).toBe('')
    store.select([3, 3])
    await store.goInto()
    expect([store.path, store.cursor]).toEqual(['3.3', [1, 1]])
    await store.goOut()

    expect(store.path).toBe('')
  })

  it('tells when the server is away', async () => {
    const store = useWallStore()
    await store.open(7)
    vi.stubGlobal('fetch', vi.fn(() => Promise.reject(new TypeError('away'))))
    await store.open(7)

    expect([store.problem?.includes('does not answer'), store.isUnsent]).toEqual([true, false])
    expect(store.shown?.block.version).toBe(1)
  })
})
