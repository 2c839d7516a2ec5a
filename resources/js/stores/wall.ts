import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import { ProblemError } from '@/api/client'
import type { DrawingShown, PlacementEntry, Symmetry, TrayKind, WallCell, WallEdit, WallFigures, WallPlace, WallShown } from '@/api/types'

type Change = (block: number, version: number, path: string) => Promise<WallShown>

/** How long the wall rests after a change before the plan behind it is worked out anew. */
const REST_BEFORE_FIGURES = 250

/** Milliseconds. */
const REST_BEFORE_SENDING_AGAIN = 2000

/** What keeps a change from being saved now, but not for ever. */
const PASSING = new Set(['no-answer', 'too-long', 'shelf-busy', 'disk-full', 'shelf-read-only', 'shelf-missing', 'disk-failing'])

export const useWallStore = defineStore('wall', () => {
  const shown = shallowRef<WallShown | null>(null)
  const figures = shallowRef<WallFigures | null>(null)
  const figuresProblem = ref<string | null>(null)
  /** Small grids that are open, from the outside in: "2.3/1.1". */
  const path = ref('')
  const anchor = ref<WallPlace>([1, 1])
  const cursor = ref<WallPlace>([1, 1])
  const copied = shallowRef<WallCell[]>([])
  const follow = ref<Symmetry>('none')
  /** Whether changes inside a small grid leave equal ones as they are. */
  const isAlone = ref(false)
  const problem = ref<string | null>(null)
  /** Changes that could not be saved because another window saved first, and those made since. */
  const held = shallowRef<Change[] | null>(null)
  const waiting = ref(0)
  /** The last change did not reach the shelf; it is sent again. */
  const isUnsent = ref(false)
  const lastInside = new Map<string, WallPlace>()
  let last: Promise<void> = Promise.resolve()
  let timer: ReturnType<typeof setTimeout> | undefined

  /** The cell on the drawing board, if there is one. */
  const board = shallowRef<WallPlace | null>(null)
  const drawing = shallowRef<DrawingShown | null>(null)

  watch(follow, (way) => {
    const block = shown.value?.block.id
    if (block !== undefined) localStorage.setItem(`keen-seam:follow-${block}`, way)
  })

  const isSaving = computed(() => waiting.value > 0)
  const cellAt = ([row, column]: WallPlace): WallCell | null =>
    shown.value?.cells.find((cell) => cell.row <= row && row < cell.row + cell.rowSpan && cell.column <= column && column < cell.column + cell.columnSpan) ?? null

  /** Cells that the rectangle from anchor to cursor touches. */
  const selected = computed<WallCell[]>(() => {
    const [top, bottom] = ends(anchor.value[0], cursor.value[0])
    const [left, right] = ends(anchor.value[1], cursor.value[1])
    return (shown.value?.cells ?? []).filter(
      (cell) => cell.row <= bottom && cell.row + cell.rowSpan > top && cell.column <= right && cell.column + cell.columnSpan > left,
    )
  })
  const here = computed(() => cellAt(cursor.value))
  const oddOnes = computed(() => (shown.value?.cells ?? []).filter((cell) => cell.odd !== null && !cell.odd.isMeant))
  const places = computed<WallPlace[]>(() => selected.value.map((cell) => [cell.row, cell.column]))

  async function open(block: number) {
    if (shown.value?.block.id !== block) {
      ;[shown.value, figures.value, path.value, follow.value] = [null, null, '', keptFollow(block)]
      leaveBoard()
      select([1, 1])
    }
    await told(async () => {
      show(await api.wall(block, path.value))
    })
  }

  /** Looks whether another window saved since; called when the quilter comes back to this one. */
  async function refresh() {
    const block = shown.value?.block
    if (block === undefined || isSaving.value || held.value !== null) return
    const newest = await api.wall(block.id, path.value).catch(() => null)
    if (newest !== null && shown.value?.block.version === block.version && newest.block.version !== block.version) show(newest)
  }

  function select(place: WallPlace, isFurther = false) {
    const rows = shown.value?.rows.length ?? place[0]
    const columns = shown.value?.columns.length ?? place[1]
    const kept: WallPlace = [Math.min(Math.max(place[0], 1), rows), Math.min(Math.max(place[1], 1), columns)]
    cursor.value = kept
    if (!isFurther) anchor.value = kept
  }

  /** What is asked now is sent so, however long it waits for its turn. */
  function edit(change: WallEdit) {
    const [way, alone, place] = [follow.value, isAlone.value, path.value]
    return saved((block, version) => api.edit(block, version, place, change, way, alone))
  }

  const move = (placement: PlacementEntry) => edit({ do: 'move', places: places.value, ...placement })

  /** Mends the odd ones among the selected cells; where none is odd, goes to the next that is. */
  async function mend() {
    const odd = selected.value.filter((cell) => cell.odd !== null && !cell.odd.isMeant)
    const first = odd[0] ?? oddOnes.value[0]
    if (first === undefined) return
    if (odd.length === 0) select([first.row, first.column])
    const mendable = odd.filter((cell) => cell.odd?.mend)
    if (mendable.length > 0) await edit({ do: 'mend', places: mendable.map((cell) => [cell.row, cell.column]) })
  }

  const mendAll = () => edit({ do: 'mend', places: oddOnes.value.filter((cell) => cell.odd?.mend).map((cell) => [cell.row, cell.column]) })

  const meantAt = (at: WallPlace[]) => saved((block, version, where) => api.meantSo(block, version, where, at))
  const meant = () => meantAt(places.value)

  function copy() {
    copied.value = selected.value
  }

  async function paste() {
    const cells = copied.value
    if (cells.length === 0) return
    const [top, left] = [Math.min(...cells.map((cell) => cell.row)), Math.min(...cells.map((cell) => cell.column))]
    const [row, column] = [Math.min(anchor.value[0], cursor.value[0]), Math.min(anchor.value[1], cursor.value[1])]
    await edit({ do: 'lay', cells: cells.map((cell) => ({ ...cell.entry, row: cell.row - top + row, column: cell.column - left + column })) })
  }

  async function carry(down: number, right: number) {
    const before = shown.value?.block.version
    await edit({ do: 'carry', places: places.value, down, right })
    if (shown.value?.block.version !== before) {
      anchor.value = [anchor.value[0] + down, anchor.value[1] + right]
      cursor.value = [cursor.value[0] + down, cursor.value[1] + right]
    }
  }

  const measureIn = (units: 'in' | 'mm', how: api.Switching) => saved((block, version) => api.switchBlock(block, version, units, how))

  const undo = () => saved(api.undo)
  const redo = () => saved(api.redo)
  const freeze = () => saved(api.freezePicture)
  const dropPicture = () => saved(api.dropPicture)
  const giveSwatch = (fabric: string, picture: Blob) => saved((block, version, where) => api.giveSwatch(block, version, where, fabric, picture))
  const takeSwatch = (fabric: string) => saved((block, version, where) => api.takeSwatch(block, version, where, fabric))

  /** Opens the small grid under the cursor in the place of the whole block. */
  async function goInto() {
    const cell = here.value
    if (cell?.kind === 'grid') await goTo([...steps(), `${cell.row}.${cell.column}`])
  }

  const goOut = () => goTo(steps().slice(0, -1))

  async function goTo(where: string[]) {
    const block = shown.value?.block.id
    if (block === undefined) return
    await told(async () => {
      const opened = await api.wall(block, where.join('/'))
      const left = steps()
      path.value = where.join('/')
      isAlone.value = false
      show(opened)
      // Whoever comes out of a small grid stands before it; whoever was in it before stands where she was.
      const out = left.length > where.length ? left[where.length]?.split('.').map(Number) : undefined
      lastInside.set(left.join('/'), cursor.value)
      select(out !== undefined ? [out[0] ?? 1, out[1] ?? 1] : lastInside.get(path.value) ?? [1, 1])
    })
  }

  const steps = () => path.value.split('/').filter((step) => step !== '')

  /** Lays a cell on the drawing board. */
  async function draw(place: WallPlace) {
    board.value = place
    await askDrawing()
  }

  /** Puts the unit on the board into the quilter's own tray. */
  async function keepUnit(name: string) {
    const [block, place] = [shown.value?.block.id, board.value]
    let own: TrayKind[] = []
    if (block !== undefined && place !== null) {
      await told(async () => {
        own = (await api.keepUnit(block, path.value, place, name)).own
      })
    }
    return own
  }

  function leaveBoard() {
    ;[board.value, drawing.value] = [null, null]
  }

  async function askDrawing() {
    const [block, place] = [shown.value?.block, board.value]
    if (block === undefined || place === null) return
    try {
      const answer = await api.drawing(block.id, path.value, place)
      if (board.value === place) drawing.value = answer
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
      leaveBoard()
    }
  }

  /** Another window saved first: either its state is taken, or the change held back is made on top of it. */
  async function settle(isMineToo: boolean) {
    const [block, changes] = [shown.value?.block.id, held.value]
    ;[held.value, problem.value] = [null, null]
    if (block === undefined) return
    await open(block)
    for (const change of isMineToo ? (changes ?? []) : []) await saved(change)
  }

  /** Changes are saved one after the other, each over the version the one before it made. */
  function saved(change: Change): Promise<void> {
    const block = shown.value?.block.id
    waiting.value += 1
    last = last.then(async () => {
      // While the question stands, what is asked further waits with it.
      if (held.value !== null) held.value = [...held.value, change]
      for (let now = shown.value; now !== null && now.block.id === block && held.value === null; now = shown.value) {
        const { id, version } = now.block
        await told(async () => {
          show(await change(id, version, path.value))
        }, change)
        if (!isUnsent.value) break
        await new Promise((resolve) => setTimeout(resolve, REST_BEFORE_SENDING_AGAIN))
      }
      waiting.value -= 1
    })
    return last
  }

  function show(next: WallShown) {
    shown.value = next
    path.value = next.path
    select(cursor.value, true)
    anchor.value = [Math.min(anchor.value[0], next.rows.length), Math.min(anchor.value[1], next.columns.length)]
    if (board.value !== null) void askDrawing()
    clearTimeout(timer)
    timer = setTimeout(askFigures, REST_BEFORE_FIGURES)
  }

  async function askFigures() {
    const block = shown.value?.block
    if (block === undefined) return
    try {
      const answer = await api.wallFigures(block.id, path.value)
      if (shown.value?.block.version !== answer.version) return
      ;[figures.value, figuresProblem.value] = [answer, null]
    } catch (error) {
      figuresProblem.value = error instanceof Error ? error.message : String(error)
    }
  }

  async function told(work: () => Promise<void>, change?: Change) {
    problem.value = null
    try {
      await work()
      isUnsent.value = false
    } catch (error) {
      const code = error instanceof ProblemError ? error.code : ''
      isUnsent.value = change !== undefined && PASSING.has(code)
      const told = error instanceof Error ? error.message : String(error)
      problem.value = isUnsent.value ? `${told.replace(/[,;](?: then)? try again[^.]*/, '')} What you changed last waits here and is sent again by itself.` : told
      if (code === 'changed-elsewhere') held.value = change === undefined ? null : [change]
    }
  }

  return {
    shown, figures, figuresProblem, path, anchor, cursor, copied, follow, isAlone, problem, held, isSaving, isUnsent, selected, here, oddOnes, places,
    open, refresh, select, cellAt, edit, move, mend, mendAll, meant, meantAt, copy, paste, carry, undo, redo, measureIn, freeze, dropPicture,
    board, drawing, draw, keepUnit, leaveBoard, giveSwatch, takeSwatch, goInto, goOut, settle,
  }
})

/** How copies followed on this block when it was open last. */
const keptFollow = (block: number) => (localStorage.getItem(`keen-seam:follow-${block}`) ?? 'none') as Symmetry

const ends = (a: number, b: number): [number, number] => [Math.min(a, b), Math.max(a, b)]
