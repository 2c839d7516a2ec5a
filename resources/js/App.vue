<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { RouterView } from 'vue-router'
import { useKeysInSight } from '@/composables/useSingleKeys'
import { useTypeGrowth } from '@/composables/useTypeSize'
import { useHouseStore } from '@/stores/house'

const SettingsDialog = defineAsyncComponent(() => import('@/components/settings/SettingsDialog.vue'))
const TipBubble = defineAsyncComponent(() => import('@/components/TipBubble.vue'))
const house = useHouseStore()
const wasOpened = computed<boolean>((before) => before === true || house.isOpen)
useKeysInSight()
useTypeGrowth()

/** To the first thing of the screen's work that can have the focus. */
function toTheWork() {
  const work = document.querySelector<HTMLElement>('[data-work]') ?? document.querySelector<HTMLElement>('main')
  const canFocus = 'a[href], button:not([disabled]), input:not([disabled]), summary, [tabindex="0"]'
  const inSight = [work, ...(work?.querySelectorAll<HTMLElement>(canFocus) ?? [])].filter((one) => one?.matches(canFocus) && one.tabIndex >= 0 && one.checkVisibility())
  const first = inSight[0]
  first?.focus()
}
</script>

<template>
  <nav aria-label="Skip"><a class="skip" href="#" @click.prevent="toTheWork">Skip to the work</a></nav>
  <RouterView />
  <SettingsDialog v-if="wasOpened" />
  <TipBubble />
</template>

<style scoped>
.skip {
  position: fixed;
  left: 8px;
  top: -80px;
  z-index: 10;
  padding: 12px 16px;
  border-radius: 6px;
  background: var(--thread);
  color: #fff;
}

.skip:focus {
  top: 8px;
}
</style>
