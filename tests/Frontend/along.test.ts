import { describe, expect, it } from 'vitest'
import { fileIn, linkOf } from '@/drawing/along'
import { sorted } from '@/drawing/filesIn'

describe('a link that holds a file', () => {
  it('gives the file back, whatever letters stand in it', async () => {
    const file = JSON.stringify({ name: 'Ebb – «Flöte» 潮', cells: Array.from({ length: 400 }, (_, i) => ({ row: i })) })
    const link = await linkOf(file, 'http://hall:8000')
    expect(link).toMatch(/^http:\/\/hall:8000\/shared#[\w-]+$/)
    expect(link.length).toBeLessThan(file.length / 2)
    expect(await fileIn(new URL(link).hash)).toBe(file)
  })

  it('is no file where it is cut short or spoilt', async () => {
    const hash = new URL(await linkOf('{"name":"Tide Gate"}', 'http://hall')).hash
    for (const spoilt of [hash.slice(0, -6), `${hash.slice(0, 8)}!!${hash.slice(9)}`, '#', '']) expect(await fileIn(spoilt)).toBeNull()
  })
})

describe('files that were brought', () => {
  it('are taken in the order of their paths; what else lies in a folder is left alone', () => {
    const one = (path: string, isInFolder: boolean) => ({ file: new File([''], path), path, isInFolder })
    const told = sorted([one('b/two.json', true), one('b/notes.txt', true), one('a.txt', false), one('b/drawn.svg', true)])
    expect([told.taken.map((each) => each.path), told.leftAlone]).toEqual([['a.txt', 'b/drawn.svg', 'b/two.json'], 1])
  })
})
