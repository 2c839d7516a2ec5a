<script setup lang="ts">
import { ref } from 'vue'
import { ElRadioButton, ElRadioGroup } from 'element-plus/es/components/radio/index'
import 'element-plus/es/components/radio/style/css'
import type { WallEdit, WallFabric } from '@/api/types'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import TextField from '@/components/controls/TextField.vue'

/** One fabric: what it is called, what it looks like, how it weighs in value. */
const props = defineProps<{ fabric: WallFabric; others: WallFabric[] }>()
const emit = defineEmits<{ edit: [change: WallEdit]; swatch: [picture: Blob]; 'take-swatch': []; close: [] }>()

const instead = ref('')
const values = [
  ['light', 'Light'],
  ['medium', 'Medium'],
  ['dark', 'Dark'],
] as const

function change(changes: Partial<Pick<WallFabric, 'name' | 'color' | 'value'>>) {
  const now = props.fabric
  const next = { name: now.name, color: now.color, value: now.value, ...changes }
  if (next.name.trim() === '') return
  // A new colour brings its own value, unless the quilter had set another than the colour's.
  const value = changes.color !== undefined && now.value === now.proposed ? {} : { value: next.value }
  emit('edit', { do: 'fabric', key: now.key, name: next.name.trim(), color: next.color, ...value })
}

function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const picture = input.files?.[0]
  if (picture) emit('swatch', picture)
  input.value = ''
}

function remove() {
  emit('edit', instead.value === '' ? { do: 'remove-fabric', key: props.fabric.key } : { do: 'remove-fabric', key: props.fabric.key, instead: instead.value })
  emit('close')
}
</script>

<template>
  <section class="fabric-panel" :aria-label="`Fabric ${fabric.name}`">
    <h2>{{ fabric.name }}</h2>
    <TextField :model-value="fabric.name" label="Name" @done="change({ name: $event })" />
    <label>Colour <input type="color" :value="fabric.color" @change="change({ color: ($event.target as HTMLInputElement).value })" /></label>
    <ElRadioGroup class="values" :model-value="fabric.value" aria-label="Value" @update:model-value="change({ value: $event as WallFabric['value'] })">
      <ElRadioButton v-for="[value, word] in values" :key="value" :value="value">{{ word }}</ElRadioButton>
    </ElRadioGroup>
    <p v-if="fabric.value !== fabric.proposed" class="soft">By its colour alone it would be {{ fabric.proposed }}.</p>
    <div class="deeds">
      <label class="link-button pick">{{ fabric.swatch ? 'Another picture' : 'Picture of the cloth' }}<input type="file" class="visually-hidden" accept="image/jpeg,image/png,image/webp" @change="pick" /></label>
      <button v-if="fabric.swatch" type="button" class="link-button" @click="emit('take-swatch')">Take the picture away</button>
    </div>
    <div v-if="others.length > 0" class="deeds">
      <button type="button" class="link-button" @click="remove">Take this fabric away</button>
      <div class="instead"><span aria-hidden="true">and use</span> <ChoiceField v-model="instead" label="Which fabric takes its place" hides-label :choices="[{ value: '', words: 'none' }, ...others.map((one) => ({ value: one.key, words: one.name }))]" /></div>
    </div>
    <button type="button" class="link-button" @click="emit('close')">Done</button>
  </section>
</template>

<style scoped>
.fabric-panel {
  display: grid;
  gap: 8px;
  justify-items: start;
}

.fabric-panel > label:not(.text-field) {
  display: grid;
  grid-template-columns: 62px minmax(0, 1fr);
  align-items: center;
  width: 100%;
}

.values :deep(.el-radio-button__inner) {
  min-height: 44px;
  padding: 13px 15px;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 18px;
}

.instead {
  display: flex;
  align-items: center;
  gap: 8px;
}

.pick:focus-within {
  outline: 3px solid var(--thread);
}
</style>
