import { describe, expect, it } from 'vitest'
import { keyFor, type StationKey } from '@/composables/useStationKeys'

const pressed = (key: string, held: Partial<{ ctrlKey: boolean; metaKey: boolean; shiftKey: boolean; altKey: boolean; code: string }> = {}) => ({ key, ctrlKey: false, metaKey: false, shiftKey: false, altKey: false, ...held })
const keys: StationKey[] = [
  { key: 't', words: 'turn', act: () => {} },
  { key: 't', shift: true, words: 'turn back', act: () => {} },
  { key: 'z', control: true, words: 'undo', act: () => {} },
  { key: '2', words: 'place', act: () => {} },
  { key: '2', shift: true, words: 'place as one', act: () => {} },
  { key: '?', words: 'help', act: () => {} },
  { key: 'ArrowUp', words: 'go', act: () => {} },
]
const words = (...press: Parameters<typeof pressed>) => keyFor(keys, pressed(...press))?.words

describe('keys of the wall', () => {
  it('tells a key from the same with Shift or Control', () => {
    expect([words('t'), words('T', { shiftKey: true }), words('z', { ctrlKey: true }), words('z', { metaKey: true })]).toEqual(['turn', 'turn back', 'undo', 'undo'])
    expect([words('z'), words('t', { ctrlKey: true }), words('t', { altKey: true }), words('ArrowUp', { shiftKey: true })]).toEqual([undefined, undefined, undefined, undefined])
  })

  it('takes a sign however the keyboard makes it', () => {
    expect([words('?', { shiftKey: true }), words('?')]).toEqual(['help', 'help'])
  })

  it('knows a digit with Shift by its place, whatever the keyboard writes there', () => {
    expect([words('@', { shiftKey: true, code: 'Digit2' }), words('"', { shiftKey: true, code: 'Digit2' }), words('2', { code: 'Digit2' }), words('2', { shiftKey: true, code: 'Numpad2' })]).toEqual(['place as one', 'place as one', 'place', 'place as one'])
    expect(words('?', { shiftKey: true, code: 'Slash' })).toBe('help')
  })

  it('finds letters in capitals too', () => {
    expect(words('T')).toBe('turn')
  })
})
