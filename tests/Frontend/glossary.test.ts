import { describe, expect, it } from 'vitest'
import { allWords, wordsFor } from '@/drawing/glossary'
import { hints } from '@/drawing/hints'
import { isSingleKey, mayAct } from '@/composables/useSingleKeys'

describe('the words', () => {
  it('each say what they mean, once', () => {
    const names = allWords().map(([, one]) => one.word)
    expect(new Set(names).size).toBe(names.length)
    expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)))
    for (const [, one] of allWords()) expect(one.means).toMatch(/^[A-Z].{20,}[.]$/)
  })

  it('are found by their other names first, then by what they say', () => {
    expect(wordsFor('spin')[0]?.[0]).toBe('furl')
    expect(wordsFor(' SCANT ')[0]?.[0]).toBe('take-up')
    expect(wordsFor('iron').map(([key]) => key)).toContain('bias')
    expect(wordsFor('xyzzy')).toEqual([])
    expect(wordsFor('')).toHaveLength(allWords().length)
  })

  it('come with three hints for every station', () => {
    for (const all of Object.values(hints)) expect(all).toHaveLength(3)
  })
})

describe('single keys', () => {
  const key = (key: string, more = {}) => ({ key, ctrlKey: false, metaKey: false, target: null, ...more }) as unknown as KeyboardEvent

  it('are letters, digits and signs without Control', () => {
    expect([key('t'), key('?'), key('7')].map(isSingleKey)).toEqual([true, true, true])
    expect([key(' '), key('Enter'), key('ArrowUp'), key('PageDown'), key('z', { ctrlKey: true }), key('c', { metaKey: true })].map(isSingleKey)).toEqual([false, false, false, false, false, false])
  })

  it('never act when they are switched off, all other keys do', () => {
    expect(mayAct(key('t'), 'never', null)).toBe(false)
    expect(mayAct(key('Enter'), 'never', null)).toBe(true)
    expect(mayAct(key('t'), 'always', null)).toBe(true)
    expect(mayAct(key('t'), 'in-their-part', null)).toBe(false)
  })
})
