<script setup lang="ts">
import { useTemplateRef } from 'vue'
import type { Chain } from '@/api/types'
import PrintButton from '@/components/along/PrintButton.vue'
import TakeAlongButton from '@/components/along/TakeAlongButton.vue'
import ChoiceRadios from '@/components/controls/ChoiceRadios.vue'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import { sheetsAt, type Thing } from '@/drawing/along'

/** How the rows of this block go through the machine; what holds for all blocks is in the settings. */
defineProps<{ chain: Chain; thing: Thing }>()
const emit = defineEmits<{ 'sew-as': [chain: Chain] }>()
const chains: { value: Chain; words: string }[] = [
  { value: 'row-by-row', words: 'along each row, one row after the other' },
  { value: 'webbed', words: 'all rows in one chain, webbed by their threads' },
  { value: 'twos', words: 'in twos, and twos of twos' },
]

const part = useTemplateRef<HTMLDetailsElement>('part')
/** Escape closes what is open before it leaves the machine. */
function close(event: KeyboardEvent) {
  if (!part.value?.open) return
  event.stopPropagation()
  part.value.open = false
  part.value.querySelector('summary')?.focus()
}
</script>

<template>
  <details ref="part" class="settings" @keydown.esc="close">
    <summary>How you work</summary>
    <div>
      <ChoiceRadios :model-value="chain" class="chain" label="Units are sewn to each other" :choices="chains" @update:model-value="emit('sew-as', $event)" />
      <p class="soft">Hands, voice, counting and the pedal are in the settings.</p>
      <PrintButton :thing="thing" :kinds="sheetsAt.machine ?? []" />
      <TakeAlongButton :thing="thing" />
      <SettingsButton />
    </div>
  </details>
</template>

<style scoped>
.settings {
  position: relative;
}

summary {
  white-space: nowrap;
  min-height: 44px;
  padding: 8px 0;
  cursor: pointer;
}

.settings > div {
  position: absolute;
  right: 0;
  z-index: 2;
  display: grid;
  gap: 6px;
  width: min(440px, 88vw);
  max-height: 70vh;
  overflow-y: auto;
  font-size: 20px;
  white-space: normal;
  padding: 16px;
  border: 2px solid var(--hair);
  border-radius: 8px;
  background: var(--paper);
}

.chain {
  padding: 8px 12px;
  border: 1px solid var(--hair);
  border-radius: 8px;
}

</style>
