<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Axis, WallEdit, WallShown } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import { asTyped } from '@/drawing/fractions'

/** A column or row that was chosen by its handle: its size, neighbours and end. */
const props = defineProps<{ wall: WallShown; axis: Axis; number: number }>()
const emit = defineEmits<{ edit: [change: WallEdit]; close: [] }>()

const one = computed(() => (props.axis === 'columns' ? 'column' : 'row'))
const lines = computed(() => (props.axis === 'columns' ? props.wall.columns : props.wall.rows))
const size = ref('')

watch(() => lines.value[props.number - 1]?.size, (now) => (size.value = asTyped(now ?? '', props.wall.face.units)), { immediate: true })
</script>

<template>
  <section class="line-panel" :aria-label="`${one} ${number}`">
    <h2>{{ one.charAt(0).toUpperCase() + one.slice(1) }} {{ number }}</h2>
    <form @submit.prevent="emit('edit', { do: 'size-line', axis, number, size })">
      <TextField v-model="size" field="size" :label="`${axis === 'columns' ? 'Width' : 'Height'}, finished`" size="short" :after="wall.face.units" />
      <button type="submit">Set</button>
    </form>
    <div class="deeds">
      <button type="button" class="link-button" @click="emit('edit', { do: 'add-line', axis, before: number })">Add one before</button>
      <button type="button" class="link-button" @click="emit('edit', { do: 'add-line', axis, before: number + 1 })">Add one after</button>
      <button type="button" class="link-button" :disabled="lines.length === 1" @click="emit('edit', { do: 'remove-line', axis, number })">Remove it</button>
      <button type="button" class="link-button" @click="emit('close')">Done</button>
    </div>
  </section>
</template>

<style scoped>
form {
  display: flex;
  align-items: end;
  gap: 8px;
}

form button {
  min-height: 44px;
  padding: 0 16px;
  border: 0;
  border-radius: 6px;
  background: var(--thread);
  color: #fff;
  cursor: pointer;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}

</style>
