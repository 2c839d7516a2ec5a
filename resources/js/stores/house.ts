import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import * as api from '@/api/client'
import type { HouseShown } from '@/api/types'

/** What the house does the same way over all blocks, and whether the settings are open. */
export const useHouseStore = defineStore('house', () => {
  const house = shallowRef<HouseShown | null>(null)
  const isOpen = ref(false)

  async function load() {
    house.value ??= await api.house().catch(() => null)
  }

  /** @throws ProblemError whose place is the setting that cannot be so */
  async function change(part: Partial<HouseShown>) {
    house.value = await api.changeHouse(part)
  }

  return { house, isOpen, load, change }
})
