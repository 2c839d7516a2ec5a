<script setup lang="ts">
import { computed, ref } from 'vue'
import { swatchAddress } from '@/api/client'
import type { WallEdit, WallFabric } from '@/api/types'

/** The block's fabrics: which makes the figure, what each is called, looks like and weighs in value. */
const props = defineProps<{ fabrics: WallFabric[]; figure: string; isPainting: boolean }>()
const emit = defineEmits<{ choose: [key: string]; paint: []; edit: [change: WallEdit]; swatch: [key: string, picture: Blob]; 'take-swatch': [key: string] }>()

const opened = ref<string | null>(null)
const instead = ref('')
const fabric = computed(() => props.fabrics.find((one) => one.key === opened.value) ?? null)
const values = [
  ['light', 'Light'],
  ['medium', 'Medium'],
  ['dark', 'Dark'],
] as const
const fill = (one: WallFabric) => (one.swatch ? `center / cover url(${swatchAddress(one.swatch)})` : one.color)

function change(changes: Partial<Pick<WallFabric, 'name' | 'color' | 'value'>>) {
  const now = fabric.value
  if (now === null) return
  const next = { name: now.name, color: now.color, value: now.value, ...changes }
  if (next.name.trim() === '') return
  // A new colour brings its own value, unless the quilter had set another than the colour's.
  const value = changes.color !== undefined && now.value === now.proposed ? {} : { value: next.value }
  emit('edit', { do: 'fabric', key: now.key, name: next.name.trim(), color: next.color, ...value })
}

function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const picture = input.files?.[0]
  if (picture && opened.value) emit('swatch', opened.value, picture)
  input.value = ''
}

function remove(key: string) {
  emit('edit', instead.value === '' ? { do: 'remove-fabric', key } : { do: 'remove-fabric', key, instead: instead.value })
  ;[opened.value, instead.value] = [null, '']
}
</script>

<template>
  <section class="fabric-shelf" aria-label="Fabrics">
    <div class="row">
      <div class="chips" role="radiogroup" aria-label="Fabric for the figure">
        <button v-for="one in fabrics" :key="one.key" type="button" role="radio" :aria-checked="one.key === figure" :class="{ chosen: one.key === figure }" :data-fabric="one.key" :title="one.name" @click="emit('choose', one.key)">
          <span class="cloth" :style="{ background: fill(one) }" />
          <span class="name">{{ one.name }}</span>
        </button>
      </div>
      <div class="deeds">
        <button type="button" :aria-pressed="isPainting" :class="{ on: isPainting }" @click="emit('paint')">{{ isPainting ? 'Stop painting' : 'Paint patches' }}</button>
        <button type="button" :aria-expanded="fabric !== null" @click="opened = opened === null ? figure : null">{{ fabric ? 'Done' : 'Change it' }}</button>
        <button type="button" @click="emit('edit', { do: 'fabric', name: 'New fabric', color: '#8a9aa5' })">Add one</button>
      </div>
    </div>
    <div v-if="fabric" class="open">
      <label>Name <input :value="fabric.name" maxlength="120" @change="change({ name: ($event.target as HTMLInputElement).value })" /></label>
      <label>Colour <input type="color" :value="fabric.color" @change="change({ color: ($event.target as HTMLInputElement).value })" /></label>
      <div role="radiogroup" aria-label="Value" class="values">
        <button v-for="[value, word] in values" :key="value" type="button" role="radio" :aria-checked="fabric.value === value" @click="change({ value })">{{ word }}</button>
      </div>
      <p v-if="fabric.value !== fabric.proposed" class="soft">By its colour alone it would be {{ fabric.proposed }}.</p>
      <div class="deeds">
        <label class="pick">{{ fabric.swatch ? 'Another picture' : 'Picture of the cloth' }}<input type="file" class="visually-hidden" accept="image/jpeg,image/png,image/webp" @change="pick" /></label>
        <button v-if="fabric.swatch" type="button" @click="emit('take-swatch', fabric.key)">Take the picture away</button>
      </div>
      <div v-if="fabrics.length > 1" class="deeds">
        <button type="button" @click="remove(fabric.key)">Take this fabric away</button>
        <label>and use <select v-model="instead"><option value="">none</option><option v-for="one in fabrics.filter((other) => other.key !== fabric?.key)" :key="one.key" :value="one.key">{{ one.name }}</option></select></label>
      </div>
    </div>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  justify-content: space-between;
  gap: 4px 24px;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

.chips button {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  padding: 2px 10px 2px 4px;
  border: 2px solid transparent;
  border-radius: 6px;
  background: none;
  cursor: pointer;
}

.chips button:hover {
  background: var(--thread-pale);
}

.chips .chosen {
  border-color: var(--thread);
}

.cloth {
  width: 30px;
  height: 30px;
  border: 1px solid var(--hair);
  border-radius: 4px;
}

.row .deeds {
  flex-wrap: nowrap;
  align-items: start;
  white-space: nowrap;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 18px;
}

.deeds button,
.pick {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--thread);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.deeds .on {
  font-weight: 650;
}

.pick:focus-within {
  outline: 3px solid var(--thread);
}

.open {
  display: grid;
  gap: 8px;
  padding-top: 8px;
  border-top: 1px solid var(--hair);
}

.open > label {
  display: grid;
  grid-template-columns: 70px 1fr;
  align-items: center;
}

input:not([type='file']),
select {
  min-height: 44px;
  padding: 4px 8px;
  border: 1px solid #8b949a;
  border-radius: 6px;
  background: var(--paper);
  font: inherit;
  max-width: 100%;
}

.values {
  display: flex;
}

.values button {
  flex: 1;
  min-height: 44px;
  border: 1px solid var(--hair);
  background: var(--paper);
  cursor: pointer;
}

.values button[aria-checked='true'] {
  border-color: var(--thread);
  background: var(--thread);
  color: #fff;
}
</style>
