<script setup lang="ts">
import { useTemplateRef } from 'vue'
import type { Chain } from '@/api/types'
import ChoiceRadios from '@/components/controls/ChoiceRadios.vue'
import CheckField from '@/components/controls/CheckField.vue'
import SettingsButton from '@/components/settings/SettingsButton.vue'

/** How this quilter works: hands, voice, pedal, and how rows go through the machine. */
defineProps<{ chain: Chain; pedalWord: string; isChoosingKey: boolean }>()
const emit = defineEmits<{ 'choose-key': []; 'sew-as': [chain: Chain] }>()
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
const isLeftHanded = defineModel<boolean>('leftHanded', { required: true })
const isReadAloud = defineModel<boolean>('readAloud', { required: true })
const isSecondLook = defineModel<boolean>('secondLook', { required: true })
const isCounting = defineModel<boolean>('counting', { required: true })
</script>

<template>
  <details ref="part" class="settings" @keydown.esc="close">
    <summary>How you work</summary>
    <div>
      <CheckField v-model="isLeftHanded">Left-handed <kbd>L</kbd></CheckField>
      <CheckField v-model="isReadAloud">Read aloud <kbd>R</kbd></CheckField>
      <CheckField v-model="isCounting">Count every piece of a chain <kbd>C</kbd></CheckField>
      <CheckField v-model="isSecondLook">Second look at units that could lie turned</CheckField>
      <ChoiceRadios :model-value="chain" class="chain" label="Units are sewn to each other" :choices="chains" @update:model-value="emit('sew-as', $event)" />
      <button type="button" class="again" @click="emit('choose-key')">{{ isChoosingKey ? 'Press the pedal now' : `Pedal types ${pedalWord}: choose its key` }}</button>
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

.again {
  min-height: 44px;
}
</style>
