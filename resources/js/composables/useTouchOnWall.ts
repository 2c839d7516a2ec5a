import { nextTick, type Ref } from 'vue'

/** How large the wall may be drawn. */
export const MOST_ZOOM = 4

/** Pixels a finger may wander and still mean a tap. */
const STILL = 8

export interface TouchOnWall {
  zoom: Ref<number>
  /** What scrolls when the wall is larger than its place. */
  scroller: () => HTMLElement | null
  tap: (event: PointerEvent) => void
  /** One finger over a wall that is not enlarged; from is where it came down. */
  drag: (event: PointerEvent, from: PointerEvent | null) => void
  end: () => void
}

const clamped = (zoom: number) => Math.min(MOST_ZOOM, Math.max(1, zoom))

/**
 * Fingers on the wall: one taps, or goes over several places, or moves an enlarged wall; two make it larger or smaller
 * round the place between them. What a second finger joins was no tap.
 */
export function useTouchOnWall({ zoom, scroller, tap, drag, end }: TouchOnWall) {
  const fingers = new Map<number, PointerEvent>()
  let first: PointerEvent | null = null
  let isMoving = false
  let pinch: { apart: number; zoom: number } | null = null

  const pair = (): [PointerEvent, PointerEvent] | null => {
    const [a, b] = [...fingers.values()]
    return a && b ? [a, b] : null
  }
  const apart = ([a, b]: [PointerEvent, PointerEvent]) => Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY)

  /** Keeps what lies under a place of the window where it is. */
  async function zoomTo(wanted: number, x: number, y: number) {
    const place = scroller()
    const to = clamped(wanted)
    if (place === null || to === zoom.value) return
    const box = place.getBoundingClientRect()
    const [left, top, before] = [x - box.left, y - box.top, zoom.value]
    const [atX, atY] = [place.scrollLeft + left, place.scrollTop + top]
    zoom.value = to
    await nextTick()
    place.scrollLeft = (atX * to) / before - left
    place.scrollTop = (atY * to) / before - top
  }

  function down(event: PointerEvent) {
    fingers.set(event.pointerId, event)
    const both = pair()
    if (both !== null) {
      if (isMoving && zoom.value === 1) end()
      pinch = { apart: Math.max(1, apart(both)), zoom: zoom.value }
      first = null
      isMoving = false
    } else {
      first = event
    }
  }

  function move(event: PointerEvent) {
    const before = fingers.get(event.pointerId)
    if (before === undefined) return
    fingers.set(event.pointerId, event)
    const both = pair()
    if (both !== null && pinch !== null) {
      void zoomTo((pinch.zoom * apart(both)) / pinch.apart, (both[0].clientX + both[1].clientX) / 2, (both[0].clientY + both[1].clientY) / 2)
      return
    }
    const started = first
    if (!isMoving && (started === null || Math.hypot(event.clientX - started.clientX, event.clientY - started.clientY) < STILL)) return
    if (zoom.value > 1) {
      const place = scroller()
      if (place) [place.scrollLeft, place.scrollTop] = [place.scrollLeft + before.clientX - event.clientX, place.scrollTop + before.clientY - event.clientY]
    } else {
      drag(event, isMoving ? null : started)
    }
    isMoving = true
  }

  function up(event: PointerEvent) {
    if (!fingers.delete(event.pointerId)) return
    if (pinch !== null) {
      if (fingers.size < 2) pinch = null
      first = null
      isMoving = false
      return
    }
    if (isMoving) end()
    else if (first !== null && event.type === 'pointerup') tap(event)
    first = null
    isMoving = false
  }

  return { down, move, up, zoomTo }
}
