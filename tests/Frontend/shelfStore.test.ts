import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { ShelfBlock } from '@/api/types'
import { useShelfStore } from '@/stores/shelf'

const block = (id: number, name: string): ShelfBlock => ({ id, name }) as ShelfBlock
const server = { blocks: [] as ShelfBlock[], off: [] as ShelfBlock[], everything: {} as unknown }

function serve(path: string, init: RequestInit = {}): Promise<Response> {
  const answer = (body: unknown, status = 200) => Promise.resolve(new Response(status === 204 ? null : JSON.stringify(body), { status }))
  const id = Number(/blocks\/(\d+)/.exec(path)?.[1])
  if (init.method === 'POST' && path.endsWith('/blocks')) {
    const text = String(init.body)
    if (!text.startsWith('{')) return answer({ message: 'The file is not JSON. Choose a block file.', code: 'not-json', where: '' }, 422)
    const made = block(9, (JSON.parse(text) as { name: string }).name)
    server.blocks = [...server.blocks, made]
    return answer(made, 201)
  }
  if (path.endsWith('/everything')) return answer(server.everything)
  if (init.method === 'DELETE') {
    server.off = server.blocks.filter((one) => one.id === id)
    server.blocks = server.blocks.filter((one) => one.id !== id)
    return answer(null, 204)
  }
  if (path.endsWith('/restore')) {
    server.blocks = [...server.blocks, ...server.off]
    const back = server.off[0]
    server.off = []
    return answer(back)
  }
  return answer({ blocks: server.blocks, unopened: [], takenOff: server.off })
}

beforeEach(() => {
  setActivePinia(createPinia())
  Object.assign(server, { blocks: [block(1, 'Lamp Room'), block(2, 'Slack Water')], off: [] })
  vi.stubGlobal('fetch', serve)
})

describe('the shelf', () => {
  it('is loaded once it was told what stands there', async () => {
    const shelf = useShelfStore()
    expect(shelf.isLoaded).toBe(false)
    await shelf.load()
    expect([shelf.isLoaded, shelf.blocks.map((one) => one.name)]).toEqual([true, ['Lamp Room', 'Slack Water']])
  })

  it('takes in files as they are, and says what is wrong beside the name of each that is not taken', async () => {
    const shelf = useShelfStore()
    await shelf.load()
    const brought = (text: string, path: string, isInFolder = false) => ({ file: new File([text], path.split('/').pop() ?? ''), path, isInFolder })
    const told = await shelf.bringIn([
      brought('{"name":"Tide Gate"}', 'quilts/tide-gate.keenseam.json', true),
      brought('spoilt', 'quilts/old.json', true),
      brought('photo', 'quilts/harbour.jpg', true),
      brought('%PDF', 'pattern.pdf'),
      brought('<svg/>', 'quilts/drawn.SVG', true),
    ])
    expect(told).toEqual({
      came: ['“Tide Gate” is on the shelf now.'],
      refused: [
        { path: 'pattern.pdf', why: 'The file is not JSON. Choose a block file.' },
        { path: 'quilts/old.json', why: 'The file is not JSON. Choose a block file.' },
      ],
      leftAlone: 1,
    })
    expect([shelf.blocks.length, shelf.drawings, shelf.problem]).toEqual([3, [{ text: '<svg/>', name: 'drawn.SVG' }], null])
  })

  it('tells what came back with a file of everything', async () => {
    const shelf = useShelfStore()
    const everything = [{ file: new File(['{"format":"keen-seam/everything","version":1}'], 'everything.json'), path: 'everything.json', isInFolder: false }]
    for (const [answer, words] of [
      [{ brought: ['Tide Gate'], already: ['Lamp Room'], refused: [] }, '1 block came back. “Lamp Room” was here already.'],
      [{ brought: [], already: ['a', 'b'], refused: ['Breakwater', 'Mole'] }, 'Nothing new came back. 2 blocks were here already. Left in the file, because they cannot be opened: Breakwater, Mole.'],
    ] as const) {
      server.everything = answer
      expect((await shelf.bringIn(everything)).came).toEqual([words])
    }
  })

  it('puts back what was taken off', async () => {
    const shelf = useShelfStore()
    await shelf.load()
    await shelf.takeOff(shelf.blocks[0] as ShelfBlock)
    expect([shelf.justTaken?.name, shelf.takenOff.map((one) => one.name), shelf.blocks.length]).toEqual(['Lamp Room', ['Lamp Room'], 1])
    await shelf.putBack({ id: 1, name: 'Lamp Room' })
    expect([shelf.justTaken, shelf.takenOff, shelf.blocks.length]).toEqual([null, [], 2])
  })
})
