import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import * as api from '@/api/client'
import type { BroughtBack, NamedBlock, ShelfShown, TopShelf } from '@/api/types'
import { isDrawing, sorted, type Brought } from '@/drawing/filesIn'
import { counted } from '@/drawing/words'

/** How a file that keeps everything begins. */
const EVERYTHING = /^\s*\{\s*"format"\s*:\s*"keen-seam\/everything"/

/** How a top file says what it is; whether it is a good one the server tells. */
const TOP = /"format"\s*:\s*"keen-seam\/top"/

function broughtBack({ brought, already, refused }: BroughtBack): string {
  const parts = [brought.length === 0 ? 'Nothing new came back.' : `${counted(brought.length, 'block')} came back.`]
  if (already.length > 0) parts.push(already.length === 1 ? `“${already[0]}” was here already.` : `${already.length} blocks were here already.`)
  if (refused.length > 0) parts.push(`Left in the file, because they cannot be opened: ${refused.join(', ')}.`)
  return parts.join(' ')
}

export const useShelfStore = defineStore('shelf', () => {
  const shown = ref<ShelfShown>({ blocks: [], unopened: [], takenOff: [] })
  const topsShown = ref<TopShelf>({ tops: [], unopened: [], takenOff: [] })
  const blocks = computed(() => shown.value.blocks)
  const tops = computed(() => topsShown.value.tops)
  const topsTakenOff = computed(() => topsShown.value.takenOff)
  const topJustTaken = ref<NamedBlock | null>(null)
  const unopened = computed(() => shown.value.unopened)
  const takenOff = computed(() => shown.value.takenOff)
  /** The block taken off last since the shelf is looked at. */
  const justTaken = ref<NamedBlock | null>(null)
  const isLoaded = ref(false)
  /** Drawings that wait to be looked at before they are kept. */
  const drawings = ref<{ text: string; name: string }[]>([])
  const problem = ref<string | null>(null)

  async function load() {
    await told(async () => {
      ;[shown.value, topsShown.value] = await Promise.all([api.shelf(), api.tops()])
      isLoaded.value = true
    })
  }

  /** Files one after the other: the good ones come in, and what is wrong with the others is told beside their names. */
  async function bringIn(brought: Brought[]): Promise<{ came: string[]; refused: { path: string; why: string }[]; leftAlone: number }> {
    const { taken, leftAlone } = sorted(brought)
    const came: string[] = []
    const refused: { path: string; why: string }[] = []
    problem.value = null
    for (const one of taken) {
      try {
        const text = await one.file.text()
        if (isDrawing(one)) drawings.value.push({ text, name: one.file.name })
        else if (EVERYTHING.test(text)) came.push(broughtBack(await api.bringEverythingBack(text)))
        else came.push(`“${(await (TOP.test(text) ? api.bringInTop(text) : api.bringIn(text))).name}” is on the shelf now.`)
      } catch (error) {
        refused.push({ path: one.path, why: error instanceof Error ? error.message : String(error) })
      }
    }
    if (came.length > 0) await load()
    return { came, refused, leftAlone }
  }

  async function takeOff(block: NamedBlock) {
    await told(async () => {
      await api.takeOff(block.id)
      justTaken.value = { id: block.id, name: block.name }
      shown.value = await api.shelf()
    })
  }

  async function putBack(block: NamedBlock) {
    await told(async () => {
      await api.putBack(block.id)
      if (justTaken.value?.id === block.id) justTaken.value = null
      shown.value = await api.shelf()
    })
  }

  async function takeTopOff(top: NamedBlock) {
    await told(async () => {
      await api.takeTopOff(top.id)
      topJustTaken.value = { id: top.id, name: top.name }
      topsShown.value = await api.tops()
    })
  }

  async function putTopBack(top: NamedBlock) {
    await told(async () => {
      await api.putTopBack(top.id)
      if (topJustTaken.value?.id === top.id) topJustTaken.value = null
      topsShown.value = await api.tops()
    })
  }

  async function told(work: () => Promise<void>) {
    problem.value = null
    try {
      await work()
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  return { blocks, tops, topsTakenOff, topJustTaken, takeTopOff, putTopBack, unopened, takenOff, justTaken, isLoaded, drawings, problem, load, bringIn, takeOff, putBack }
})
