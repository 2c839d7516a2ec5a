<script setup lang="ts">
import { isBesideItsField } from '@/composables/useRefusal'

/** What went wrong, unless it stands beside the field it is about. */
defineProps<{ text: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <div v-if="!isBesideItsField(text)" class="problem-note" role="alert">
    <p>{{ text }}</p>
    <slot />
    <button type="button" @click="emit('close')">Close</button>
  </div>
</template>

<style scoped>
.problem-note {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 8px 8px 8px 16px;
  border: 2px solid var(--brick);
  border-radius: 8px;
  background: var(--paper);
  font-size: 17px;
}

.problem-note p {
  flex: 1;
}

.problem-note button {
  min-width: 72px;
  min-height: 44px;
  border: 0;
  background: none;
  font-weight: 600;
  text-decoration: underline;
  cursor: pointer;
}
</style>
