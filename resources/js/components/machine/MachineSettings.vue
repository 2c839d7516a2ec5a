<script setup lang="ts">
import type { Chain } from '@/api/types'
import SettingsButton from '@/components/settings/SettingsButton.vue'

/** How this quilter works: hands, voice, pedal, and how rows go through the machine. */
defineProps<{ chain: Chain; pedalWord: string; isChoosingKey: boolean }>()
const emit = defineEmits<{ 'choose-key': []; 'sew-as': [chain: Chain] }>()
const chains: [Chain, string][] = [
  ['row-by-row', 'along each row, one row after the other'],
  ['webbed', 'all rows in one chain, webbed by their threads'],
  ['twos', 'in twos, and twos of twos'],
]
const isLeftHanded = defineModel<boolean>('leftHanded', { required: true })
const isReadAloud = defineModel<boolean>('readAloud', { required: true })
const isSecondLook = defineModel<boolean>('secondLook', { required: true })
const isCounting = defineModel<boolean>('counting', { required: true })
</script>

<template>
  <details class="settings">
    <summary>How you work</summary>
    <div>
      <label><input v-model="isLeftHanded" type="checkbox" /><span>Left-handed</span> <kbd>L</kbd></label>
      <label><input v-model="isReadAloud" type="checkbox" /><span>Read aloud</span> <kbd>R</kbd></label>
      <label><input v-model="isCounting" type="checkbox" /><span>Count every piece of a chain</span> <kbd>C</kbd></label>
      <label><input v-model="isSecondLook" type="checkbox" /><span>Second look at units that could lie turned</span></label>
      <fieldset>
        <legend>Units are sewn to each other</legend>
        <label v-for="[key, words] of chains" :key="key"><input :checked="chain === key" type="radio" name="chain" :value="key" @change="emit('sew-as', key)" /><span>{{ words }}</span></label>
      </fieldset>
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

label {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 44px;
  line-height: 1.2;
}

label span {
  flex: 1;
}

input {
  flex: none;
  width: 24px;
  height: 24px;
  accent-color: var(--thread);
}

fieldset {
  display: grid;
  gap: 2px;
  margin: 0;
  padding: 8px 12px;
  border: 1px solid var(--hair);
  border-radius: 8px;
}

.again {
  min-height: 44px;
}
</style>
