<script setup lang="ts">
/** A part of a screen that is asked for when it is opened. */
defineProps<{ title: string; problem?: string }>()
const emit = defineEmits<{ open: [isOpen: boolean] }>()
</script>

<template>
  <details @toggle="emit('open', ($event.target as HTMLDetailsElement).open)">
    <summary>{{ title }}</summary>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <slot />
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  padding: 10px 0;
  font-size: 19px;
  font-weight: 600;
  cursor: pointer;
}

.wrong {
  color: var(--brick);
}
</style>
