<script setup lang="ts">
import { computed } from 'vue'
import type { PlanningShown } from '@/api/types'
import StitchLine from '@/components/StitchLine.vue'

/** A search for a plan: stitches as it goes on, and the button that stops it. */
const props = defineProps<{ search: PlanningShown; hasPlan: boolean }>()
defineEmits<{ stop: []; on: [] }>()

const isOn = computed(() => props.search.state === 'waiting' || props.search.state === 'working')
const words = computed(() => {
  if (props.search.what === 'sheet') return 'A very large block: it is being drawn.'
  if (props.search.state === 'waiting') return 'Waiting for the plan before it.'
  const seconds = `${props.search.done} of at most ${props.search.most} seconds`
  return props.hasPlan ? `Looking for a better plan, ${seconds}.` : `Working out the plan, ${seconds}.`
})
</script>

<template>
  <div class="planning" :data-search="search.state">
    <template v-if="isOn">
      <p role="status">{{ words }}</p>
      <StitchLine v-if="search.what === 'plan'" :done="search.done" :all="search.most" label="Search for the plan" />
      <button v-if="search.what === 'plan'" type="button" class="link-button" @click="$emit('stop')">{{ hasPlan ? 'Stop, this one is good enough' : 'Stop and take the best so far' }}</button>
    </template>
    <button v-else-if="hasPlan" type="button" class="link-button" @click="$emit('on')">Look for a better plan</button>
  </div>
</template>

<style scoped>
.planning {
  display: grid;
  gap: 8px;
  justify-items: start;
}

.planning p {
  margin: 0;
}

.planning :deep(.stitch-line) {
  width: min(420px, 100%);
}
</style>
