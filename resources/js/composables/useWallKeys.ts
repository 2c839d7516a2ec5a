import { computed, type ComputedRef, type Ref } from 'vue'
import type { TrayKind } from '@/api/types'
import { useStationKeys, type StationKey } from '@/composables/useStationKeys'
import { useWallStore } from '@/stores/wall'

export interface WallDeeds {
  tray: Ref<TrayKind[]>
  /** Keys of the drawing board, in place of the wall's while a unit lies on it. */
  boardKeys: ComputedRef<StationKey[]>
  stepFabric: (by: number) => void
  togglePainting: () => void
  toggleGrey: () => void
  toggleTwice: () => void
  showKeys: () => void
  /** A kind of unit, as one over all chosen places where asked. */
  placeKind: (kind: string, asOne: boolean) => void
  placeLastAsOne: () => void
  clear: () => void
  nextBrush: () => void
  paintHere: () => void
  stepFollow: () => void
  leave: () => void
}

const arrows: [string, number, number][] = [
  ['ArrowUp', -1, 0],
  ['ArrowDown', 1, 0],
  ['ArrowLeft', 0, -1],
  ['ArrowRight', 0, 1],
]

/** What each key does at the wall and at its drawing board. */
export function useWallKeys(deeds: WallDeeds): ComputedRef<StationKey[]> {
  const wall = useWallStore()

  const go = (down: number, right: number, isFurther: boolean) => () => {
    const cell = wall.here
    // Across a cell that spans several places, one step leaves it.
    const row = down > 0 && cell ? cell.row + cell.rowSpan : down < 0 && cell ? cell.row - 1 : wall.cursor[0]
    const column = right > 0 && cell ? cell.column + cell.columnSpan : right < 0 && cell ? cell.column - 1 : wall.cursor[1]
    wall.select([row, column], isFurther)
  }

  function cut() {
    wall.copy()
    deeds.clear()
  }

  const everywhere: StationKey[] = [
    { key: 'f', words: 'next fabric', act: () => deeds.stepFabric(1) },
    { key: 'f', shift: true, words: 'fabric before', act: () => deeds.stepFabric(-1) },
    { key: 'p', words: 'paint patches, or stop', act: deeds.togglePainting },
    { key: 'g', words: 'grey view', act: deeds.toggleGrey },
    { key: 'z', control: true, words: 'undo', act: wall.undo },
    { key: 'z', control: true, shift: true, words: 'do again', act: wall.redo },
    { key: 'y', control: true, words: 'do again', act: wall.redo },
    { key: '?', words: 'show the keys', act: deeds.showKeys },
  ]
  const atTheWall = computed<StationKey[]>(() => [
    ...arrows.map(([key, down, right]) => ({ key, words: 'go from unit to unit', act: go(down, right, false) })),
    ...arrows.map(([key, down, right]) => ({ key, shift: true, words: 'choose several', act: go(down, right, true) })),
    ...arrows.map(([key, down, right]) => ({ key, control: true, words: 'move what is chosen', act: () => wall.carry(down, right) })),
    ...deeds.tray.value.map((kind, i) => ({ key: `${(i + 1) % 10}`, words: `place a ${kind.name}`, act: () => deeds.placeKind(kind.kind, false) })),
    ...deeds.tray.value.map((kind, i) => ({ key: `${(i + 1) % 10}`, shift: true, words: 'with Shift: one over all chosen places', act: () => deeds.placeKind(kind.kind, true) })),
    { key: 'w', words: 'place the last kind as one over all chosen', act: deeds.placeLastAsOne },
    { key: 't', words: 'turn a quarter clockwise', act: () => wall.move({ turn: 90, mirrored: false }) },
    { key: 't', shift: true, words: 'turn a quarter anticlockwise', act: () => wall.move({ turn: 270, mirrored: false }) },
    { key: 'm', words: 'mirror', act: () => wall.move({ turn: 0, mirrored: true }) },
    { key: 's', words: 'swap the fabrics', act: () => wall.edit({ do: 'swap', places: wall.places }) },
    { key: 'Delete', words: 'back to a plain patch', act: deeds.clear },
    { key: 'Backspace', words: 'back to a plain patch', act: deeds.clear },
    { key: 'l', words: 'mark the units to look at twice, or not', act: deeds.toggleTwice },
    { key: 'o', words: 'mend the odd one, or go to it', act: wall.mend },
    { key: 'k', words: "it's meant to be so", act: wall.meant },
    { key: 'n', words: 'next patch for the brush', act: deeds.nextBrush },
    { key: ' ', words: 'paint this patch', act: deeds.paintHere },
    { key: 'y', words: 'copies follow: next way', act: deeds.stepFollow },
    { key: 'd', words: 'draw this unit by cutting', act: () => wall.draw(wall.cursor) },
    { key: 'e', words: 'open the small grid', act: wall.goInto },
    { key: 'Escape', words: 'stop painting, or leave the small grid', act: deeds.leave },
    { key: 'c', control: true, words: 'copy', act: wall.copy },
    { key: 'x', control: true, words: 'cut', act: cut },
    { key: 'v', control: true, words: 'paste', act: wall.paste },
  ])
  const keys = computed(() => [...(wall.board === null ? atTheWall.value : deeds.boardKeys.value), ...everywhere])
  useStationKeys(() => keys.value, '.wall')

  return keys
}
