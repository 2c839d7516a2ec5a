/** What of a thing on the shelf is looked through and sorted by. */
export interface OnShelf {
  name: string
  tags: string[]
  touched: number
  /** Further words to find it by. */
  words: string[]
  /** In inches. */
  area: number
  /** From 0 to 1. */
  progress: number
}

export const sortings = { name: 'by name', touched: 'last touched first', larger: 'larger first', smaller: 'smaller first', progress: 'furthest sewn first' } as const
export type Sorting = keyof typeof sortings

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/** Those that hold every word that is looked for, in any of their words, and carry every tag. */
export function found<Thing extends OnShelf>(things: Thing[], look: string, tags: string[]): Thing[] {
  const wanted = plain(look).split(/\s+/).filter((word) => word !== '')
  return things.filter((thing) => {
    const all = plain([thing.name, ...thing.tags, ...thing.words].join(' '))
    return wanted.every((word) => all.includes(word)) && tags.every((tag) => thing.tags.includes(tag))
  })
}

export function sorted<Thing extends OnShelf>(things: Thing[], by: Sorting): Thing[] {
  const byName = (a: Thing, b: Thing) => a.name.localeCompare(b.name, undefined, { numeric: true })
  const orders: Record<Sorting, (a: Thing, b: Thing) => number> = {
    name: byName,
    touched: (a, b) => b.touched - a.touched,
    larger: (a, b) => b.area - a.area,
    smaller: (a, b) => a.area - b.area,
    progress: (a, b) => b.progress - a.progress,
  }
  return [...things].sort((a, b) => orders[by](a, b) || byName(a, b))
}

export const tagsOf = (things: OnShelf[]): string[] => [...new Set(things.flatMap((thing) => thing.tags))].sort((a, b) => a.localeCompare(b))

const DAY = 86_400_000
const midnight = (moment: number) => new Date(moment).setHours(0, 0, 0, 0)

/** When it was last touched, as one says it: today, yesterday, 5 days ago, else the day itself. */
export function ago(touched: number, now: number): string {
  const days = Math.round((midnight(now) - midnight(touched)) / DAY)
  if (days <= 0) return 'today'
  if (days === 1) return 'yesterday'
  return days < 28 ? `${days} days ago` : new Date(touched).toLocaleDateString('en', { day: 'numeric', month: 'long', year: 'numeric' })
}
