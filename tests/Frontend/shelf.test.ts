import { describe, expect, it } from 'vitest'
import { ago, found, sorted, tagsOf, type OnShelf } from '@/drawing/shelf'

const thing = (name: string, more: Partial<OnShelf> = {}): OnShelf => ({ name, tags: [], touched: 0, words: [], area: 1, progress: 0, ...more })
const names = (things: OnShelf[]) => things.map((one) => one.name)
const things = [
  thing('Tide Gate 10', { tags: ['gift'], words: ['Harbour ink', '12 1/2'], area: 144, touched: 3 }),
  thing('Tide Gate 9', { tags: ['gift', 'hut'], area: 64, touched: 5, progress: 0.5 }),
  thing('Éclair', { words: ['Sand'], area: 100, touched: 4, progress: 1 }),
]

describe('the shelf', () => {
  it('finds what holds every word, in any case and without accents', () => {
    expect(names(found(things, 'tide 10', []))).toEqual(['Tide Gate 10'])
    expect(names(found(things, 'ECLAIR', []))).toEqual(['Éclair'])
    expect(names(found(things, 'ink 12', []))).toEqual(['Tide Gate 10'])
    expect(names(found(things, ' ', []))).toHaveLength(3)
    expect(found(things, 'gift sand', [])).toEqual([])
  })

  it('shows what carries every tag', () => {
    expect(names(found(things, '', ['gift']))).toEqual(['Tide Gate 10', 'Tide Gate 9'])
    expect(names(found(things, '', ['gift', 'hut']))).toEqual(['Tide Gate 9'])
    expect(tagsOf(things)).toEqual(['gift', 'hut'])
  })

  it('sorts by what is asked, equal ones by name, and changes nothing given', () => {
    expect(names(sorted(things, 'name'))).toEqual(['Éclair', 'Tide Gate 9', 'Tide Gate 10'])
    expect(names(sorted(things, 'touched'))).toEqual(['Tide Gate 9', 'Éclair', 'Tide Gate 10'])
    expect(names(sorted(things, 'larger'))).toEqual(['Tide Gate 10', 'Éclair', 'Tide Gate 9'])
    expect(names(sorted(things, 'smaller'))).toEqual(['Tide Gate 9', 'Éclair', 'Tide Gate 10'])
    expect(names(sorted(things, 'progress'))).toEqual(['Éclair', 'Tide Gate 9', 'Tide Gate 10'])
    expect(names(sorted([thing('b'), thing('a')], 'larger'))).toEqual(['a', 'b'])
    expect(names(things)).toEqual(['Tide Gate 10', 'Tide Gate 9', 'Éclair'])
  })

  it('says days as one says them, by the calendar and not by hours', () => {
    const noon = new Date(2026, 2, 30, 12).getTime()
    const hours = (count: number) => noon - count * 3_600_000
    expect([ago(noon, noon), ago(hours(11), noon), ago(hours(13), noon), ago(hours(37), noon), ago(hours(24 * 20), noon)]).toEqual(['today', 'today', 'yesterday', '2 days ago', '20 days ago'])
    expect(ago(new Date(2026, 0, 5, 12).getTime(), noon)).toBe('January 5, 2026')
  })
})
