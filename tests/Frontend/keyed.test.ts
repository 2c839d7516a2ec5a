import { describe, expect, it } from 'vitest'
import type { WorkEvent, WorkStep } from '@/api/types'
import { isPausedAfter, left, stepsAfter } from '@/stores/keyed'

const step = (key: string, due = 1): WorkStep => ({ key, do: 'join', place: 'machine', title: key, text: key, caution: '', times: due, due, counted: 0, joins: [], open: [], patches: [], size: null, isDone: false })
const event = (kind: WorkEvent['do'], key?: string): WorkEvent => ({ id: `${kind}-${key ?? ''}`, do: kind, at: 1, step: key })
const after = (due: number, ...kinds: WorkEvent['do'][]) => {
  const [changed] = stepsAfter([step('a', due)], kinds.map((kind) => event(kind, 'a')))
  return changed && [left(changed), changed.isDone]
}

describe('keys that the server has not answered yet', () => {
  it('does a step at once, and takes it back at once', () => {
    expect(after(3, 'done')).toEqual([0, true])
    expect(after(3, 'done', 'back')).toEqual([3, false])
    expect(after(1, 'measured')).toEqual([0, true])
    expect(after(1, 'otherwise')).toEqual([0, true])
  })

  it('counts down to done, and back again one by one', () => {
    expect(after(3, 'counted')).toEqual([2, false])
    expect(after(3, 'counted', 'counted', 'counted')).toEqual([0, true])
    expect(after(3, 'counted', 'counted', 'counted', 'back')).toEqual([1, false])
    expect(after(3, 'counted', 'back', 'back')).toEqual([3, false])
    expect(after(3, 'counted', 'done', 'back')).toEqual([2, false])
    expect(after(1, 'counted', 'counted')).toEqual([0, true])
  })

  it('leaves other steps as they are, and steps it does not know alone', () => {
    const steps = [step('a'), step('b')]
    expect(stepsAfter(steps, [event('done', 'b'), event('done', 'gone'), event('unpicked')])).toEqual([step('a'), { ...step('b'), isDone: true }])
    expect(stepsAfter(steps, [])[0]).toBe(steps[0])
  })

  it('is put down until the next key', () => {
    expect(isPausedAfter(null, [])).toBe(false)
    expect(isPausedAfter(5, [])).toBe(true)
    expect(isPausedAfter(null, [event('done', 'a'), event('paused')])).toBe(true)
    expect(isPausedAfter(5, [event('resumed')])).toBe(false)
    expect(isPausedAfter(5, [event('done', 'a')])).toBe(false)
  })
})
