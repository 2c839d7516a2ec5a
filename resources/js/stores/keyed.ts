import type { WorkEvent, WorkStep } from '@/api/types'

/** How often a step is still to be done. */
export const left = (step: WorkStep): number => (step.isDone ? 0 : Math.max(0, step.due - step.counted))

/** The steps as they will be once the server has these keys; what an unpicking opens only the server knows. */
export function stepsAfter(steps: WorkStep[], events: WorkEvent[]): WorkStep[] {
  const changed = new Map<string, WorkStep>()
  for (const event of events) {
    const before = event.step === undefined ? undefined : (changed.get(event.step) ?? steps.find((step) => step.key === event.step))
    if (before) changed.set(before.key, after(before, event))
  }
  return steps.map((step) => changed.get(step.key) ?? step)
}

function after(step: WorkStep, event: WorkEvent): WorkStep {
  switch (event.do) {
    case 'counted': {
      const counted = step.isDone ? step.counted : step.counted + 1
      return { ...step, counted, isDone: step.isDone || counted >= step.due }
    }
    case 'back': {
      const isOneLess = !step.isDone || (step.counted > 0 && step.counted >= step.due)
      return { ...step, isDone: false, counted: isOneLess ? Math.max(0, step.counted - 1) : step.counted }
    }
    case 'unpicked':
      return { ...step, counted: Math.max(0, step.counted - (event.count ?? 1)) }
    default:
      return { ...step, isDone: true }
  }
}

/** Whether the work is put down: any key but the one that puts it down takes it up again. */
export function isPausedAfter(pausedAt: number | null, events: WorkEvent[]): boolean {
  const last = events.at(-1)
  return last === undefined ? pausedAt !== null : last.do === 'paused'
}
