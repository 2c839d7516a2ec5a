<script setup lang="ts">
import { swatchAddress } from '@/api/client'
import type { WallFabric } from '@/api/types'
import { radioKeys } from '@/composables/radioKeys'

/** The block's fabrics, and which of them makes the figure. */
defineProps<{ fabrics: WallFabric[]; figure: string; isPainting: boolean; isOpen: boolean }>()
const emit = defineEmits<{ choose: [key: string]; paint: []; open: []; add: [] }>()

const fill = (one: WallFabric) => (one.swatch ? `center / cover url(${swatchAddress(one.swatch)})` : one.color)
</script>

<template>
  <section class="fabric-shelf" aria-label="Fabrics">
    <div class="chips" role="radiogroup" aria-label="Fabric for the figure" @keydown="radioKeys">
      <button v-for="one in fabrics" :key="one.key" v-tip="one.name" type="button" role="radio" :aria-checked="one.key === figure" :tabindex="one.key === figure ? 0 : -1" :class="{ chosen: one.key === figure }" :data-fabric="one.key" @click="emit('choose', one.key)">
        <span class="cloth" :style="{ background: fill(one) }" />
        <span class="name">{{ one.name }}</span>
      </button>
    </div>
    <div class="deeds">
      <button type="button" class="link-button" :aria-pressed="isPainting" @click="emit('paint')">{{ isPainting ? 'Stop painting' : 'Paint patches' }}</button>
      <button type="button" class="link-button" :aria-expanded="isOpen" @click="emit('open')">Change it</button>
      <button type="button" class="link-button" @click="emit('add')">Add one</button>
    </div>
  </section>
</template>

<style scoped>
.fabric-shelf {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 24px;
}

/* Many fabrics, or long names, take no room from the block. */
.chips {
  display: flex;
  flex: 1 1 300px;
  flex-wrap: wrap;
  gap: 4px;
  max-height: calc(100px * var(--type, 1));
  overflow-y: auto;
  scrollbar-width: thin;
}

.name {
  max-width: 17ch;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
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

.deeds {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 0 18px;
  white-space: nowrap;
}

[aria-pressed='true'] {
  font-weight: 650;
}
</style>
