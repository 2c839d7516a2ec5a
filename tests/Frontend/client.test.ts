import { afterEach, describe, expect, it, vi } from 'vitest'
import { awaited, fileAt } from '@/api/client'

const answering = (...answers: [number, unknown][]) => {
  const asked: string[] = []
  vi.stubGlobal('fetch', (address: string) => {
    asked.push(address)
    const [status, body] = answers.shift() ?? [500, null]
    return Promise.resolve(new Response(typeof body === 'string' ? body : JSON.stringify(body), { status }))
  })
  return asked
}

describe('files of the server', () => {
  afterEach(() => {
    vi.unstubAllGlobals()
    vi.useRealTimers()
  })

  it('waits until what a worker is at is made', async () => {
    vi.useFakeTimers()
    const planning = { key: 'back-picture:1', what: 'sheet', state: 'working', done: 0, most: 60, found: 0 }
    const asked = answering([202, { planning }], [202, { planning }], [200, '<svg/>'])
    const file = fileAt('/api/blocks/3/back.svg')
    await vi.advanceTimersByTimeAsync(500)
    expect(awaited.value).toEqual(planning)
    await vi.advanceTimersByTimeAsync(3000)
    expect(await (await file).text()).toBe('<svg/>')
    expect([asked, awaited.value]).toEqual([Array<string>(3).fill('/api/blocks/3/back.svg'), null])
  })

  it('tells why there is none', async () => {
    answering([422, { code: 'plan-not-found', message: 'The plan could not be worked out.', where: '' }])
    await expect(fileAt('/api/tops/1/back.svg')).rejects.toThrow('The plan could not be worked out.')
  })
})
