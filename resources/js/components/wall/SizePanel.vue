<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Switching } from '@/api/client'
import type { WallEdit, WallShown } from '@/api/types'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import TextField from '@/components/controls/TextField.vue'
import type { Units } from '@/composables/useUnits'
import { asOnRuler, asTyped } from '@/drawing/fractions'
import FractionText from '@/drawing/FractionText.vue'

/** The block's name, finished size and seam allowance, and whether its units stay on the ruler's marks. */
const props = defineProps<{ wall: WallShown; isWhole: boolean }>()
const emit = defineEmits<{ edit: [change: WallEdit]; units: [units: Units, how: Switching] }>()
const other = computed<Units>(() => (props.wall.face.units === 'in' ? 'mm' : 'in'))

const allowances = computed(() => [...new Set([props.wall.allowance, ...(props.wall.face.units === 'in' ? ['1/4', '3/8'] : ['6', '7', '7 1/2'])])])
const [name, width, height] = [ref(''), ref(''), ref('')]

watch(
  () => props.wall,
  (wall) => {
    name.value = wall.block.name
    width.value = asTyped(wall.face.finished[0] ?? '', wall.face.units)
    height.value = asTyped(wall.face.finished[1] ?? wall.face.finished[0] ?? '', wall.face.units)
  },
  { immediate: true },
)

function rename() {
  if (name.value.trim() !== '' && name.value !== props.wall.block.name) emit('edit', { do: 'name', name: name.value.trim() })
}
</script>

<template>
  <details class="size-panel">
    <summary>Name and size</summary>
    <template v-if="isWhole">
      <TextField v-model="name" label="Name" @done="rename" />
      <ChoiceField :model-value="wall.allowance" label="Seam allowance" :choices="allowances.map((one) => ({ value: one, words: `${asOnRuler(one, wall.face.units)} ${wall.face.units}` }))" @update:model-value="emit('edit', { do: 'allowance', size: $event ?? '' })" />
      <form @submit.prevent="emit('edit', { do: 'size', width, height })">
        <p>Finished</p>
        <TextField v-model="width" field="width" label="Finished width" hides-label size="short" /> x <TextField v-model="height" field="height" label="Finished height" hides-label size="short" :after="wall.face.units" />
        <button type="submit">Set</button>
      </form>
      <div class="units">
        <p>Measure this block in {{ other === 'mm' ? 'millimetres' : 'inches' }}:</p>
        <button type="button" class="link-button" @click="emit('units', other, 'sensibly')">in sizes one uses there</button>
        <button type="button" class="link-button" @click="emit('units', other, 'exactly')">exactly as large</button>
      </div>
    </template>
    <p v-else class="soft">The small grid's size follows from its cell.</p>
    <div v-if="wall.awkward.length > 0" class="awkward" role="status">
      <p>
        Units of <template v-for="(side, i) in wall.awkward.slice(0, 4)" :key="side"><template v-if="i > 0">, </template><FractionText :text="side" /></template> {{ wall.face.units }} lie between the ruler's marks ({{ wall.face.units === 'in' ? '1/8 in' : '1 mm' }}), and so do their cuts. Nearest sizes that don't:
      </p>
      <button v-for="size in wall.friendly" :key="size.join()" type="button" :disabled="!isWhole" @click="emit('edit', { do: 'size', width: size[0], height: size[1] })"><FractionText :text="size[0] === size[1] ? size[0] : size.join(' x ')" /> {{ wall.face.units }}</button>
    </div>
  </details>
</template>

<style scoped>
.size-panel form p {
  flex: 1 0 100%;
}

form {
  display: flex;
  align-items: center;
  gap: 8px;
}

form {
  flex-wrap: wrap;
  padding-top: 8px;
}

button:not(.link-button) {
  min-height: 44px;
  padding: 0 16px;
  border: 0;
  border-radius: 6px;
  background: var(--thread);
  color: #fff;
  cursor: pointer;
}

.units {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 14px;
  padding-top: 8px;
}

.awkward {
  margin-top: 8px;
  padding-left: 12px;
  border-left: 4px solid var(--ochre);
}

.awkward button {
  margin: 6px 8px 0 0;
}
</style>
