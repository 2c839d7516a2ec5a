import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import * as api from '@/api/client'
import type { NamedBlock, ShelfBlock, ShelfShown } from '@/api/types'

export const useShelfStore = defineStore('shelf', () => {
  const shown = ref<ShelfShown>({ blocks: [], unopened: [], takenOff: [] })
  const blocks = computed(() => shown.value.blocks)
  const unopened = computed(() => shown.value.unopened)
  const takenOff = computed(() => shown.value.takenOff)
  /** The block taken off last since the shelf is looked at. */
  const justTaken = ref<NamedBlock | null>(null)
  const isLoaded = ref(false)
  const problem = ref<string | null>(null)

  async function load() {
    await told(async () => {
      shown.value = await api.shelf()
      isLoaded.value = true
    })
  }

  /** @returns the block brought in, or null when its file was refused */
  async function bringIn(file: File): Promise<ShelfBlock | null> {
    let block: ShelfBlock | null = null
    await told(async () => {
      block = await api.bringIn(await file.text())
      shown.value = await api.shelf()
    })
    return block
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

  async function told(work: () => Promise<void>) {
    problem.value = null
    try {
      await work()
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error)
    }
  }

  return { blocks, unopened, takenOff, justTaken, isLoaded, problem, load, bringIn, takeOff, putBack }
})
