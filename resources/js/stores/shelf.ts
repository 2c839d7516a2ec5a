import { defineStore } from 'pinia'
import { ref } from 'vue'
import * as api from '@/api/client'
import type { ShelfBlock } from '@/api/types'

export const useShelfStore = defineStore('shelf', () => {
  const blocks = ref<ShelfBlock[]>([])
  const isLoaded = ref(false)
  /** The block taken off last, while it can still be put back from here. */
  const takenOff = ref<ShelfBlock | null>(null)
  const problem = ref<string | null>(null)

  async function load() {
    await told(async () => {
      blocks.value = await api.shelf()
      isLoaded.value = true
    })
  }

  /** @returns the block brought in, or null when its file was refused */
  async function bringIn(file: File): Promise<ShelfBlock | null> {
    let block: ShelfBlock | null = null
    await told(async () => {
      block = await api.bringIn(await file.text())
      blocks.value = await api.shelf()
    })
    return block
  }

  async function takeOff(block: ShelfBlock) {
    await told(async () => {
      await api.takeOff(block.id)
      takenOff.value = block
      blocks.value = await api.shelf()
    })
  }

  async function putBack() {
    const block = takenOff.value
    if (block === null) return
    await told(async () => {
      await api.putBack(block.id)
      takenOff.value = null
      blocks.value = await api.shelf()
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

  return { blocks, isLoaded, takenOff, problem, load, bringIn, takeOff, putBack }
})
