import type { Changed, CrossingSeen, JoinShown, PressAnswer, PressChanged, PressShown, WorkChanged, WorkShown } from './types'

/** What was shown with the changes of an answer put into it. */
export function changedInto<Sheet extends object>(before: Sheet, changed: Changed<Sheet>): Sheet {
  const after = { ...before }
  for (const name of Object.keys(changed) as (keyof Sheet)[]) {
    const change = changed[name]
    if (change === undefined) continue
    if ('all' in change) after[name] = change.all as Sheet[keyof Sheet]
    else {
      const list = [...(before[name] as unknown[])]
      for (const [at, value] of Object.entries(change.at)) list[Number(at)] = value
      after[name] = list as Sheet[keyof Sheet]
    }
  }
  return after
}

/** The press station as it is drawn: each seam with its pile, and whether the quilter locked or pressed it. */
export function pressShown(answer: PressAnswer): PressShown {
  const [locked, pressed, ruled] = [new Set(answer.ownWay ? answer.locked : []), new Set(answer.pressed), new Set(answer.ownWay ? answer.ruled : [])]
  const isHers = (join: number | null) => join !== null && (locked.has(join) || ruled.has(join)) && answer.joins[join]?.press[0] === 'open'
  return {
    ...answer,
    told: answer,
    crossings: answer.crossings.map((crossing): CrossingSeen => ({ ...crossing, isMeant: (crossing.kind === 'lopsided' || crossing.kind === 'flat') && crossing.seams.some(isHers) })),
    joins: answer.joins.map((join): JoinShown => ({ ...join, ruled: ruled.has(join.id), pile: join.pile === null ? [join.id] : (answer.piles[join.pile] ?? [join.id]), locked: locked.has(join.id), isPressed: pressed.has(join.id) })),
  }
}

/** What is told beside the plan itself. */
const beside = (answer: PressChanged): Omit<PressChanged, 'from' | 'changed'> => {
  const told: Partial<PressChanged> = { ...answer }
  delete told.from
  delete told.changed
  return told as Omit<PressChanged, 'from' | 'changed'>
}

/** Null where the answer says what changed of another plan than the one that is shown: then all of it is to be asked for. */
export function pressAfter(shown: PressShown, answer: PressChanged): PressShown | null {
  if (answer.from !== shown.plan) return null
  return pressShown({ ...changedInto(shown.told, answer.changed), ...beside(answer) })
}

/** Null where the plan became another one. */
export function workAfter(work: WorkShown, answer: WorkChanged): WorkShown | null {
  if (answer.plan !== work.plan) return null
  const states = new Map(answer.steps.map((state) => [state.key, state]))
  const opened = new Set(answer.opened)
  return {
    ...work,
    steps: work.steps.map((step) => ({ ...step, ...states.get(step.key) })),
    sewn: answer.isWhole ? answer.sewn : [...work.sewn.filter((join) => !opened.has(join)), ...answer.sewn],
    mark: answer.mark,
    pausedAt: answer.pausedAt,
  }
}
