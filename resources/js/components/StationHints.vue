<script setup lang="ts">
import { computed } from 'vue'
import { useHints } from '@/composables/useHints'
import { hints, type HintPlace } from '@/drawing/hints'

/** Three quiet hints for whoever is here for the first time, one after the other; closed ones are gone for good. */
const props = defineProps<{ at: HintPlace }>()
const { closed, close } = useHints()
const left = computed(() => hints[props.at].map((words, i) => ({ name: `${props.at}-${i + 1}`, words })).filter((hint) => !closed.value.includes(hint.name)))
const now = computed(() => left.value[0])
</script>

<template>
  <aside v-if="now" class="station-hint" aria-label="Hint">
    <p><b>Hint.</b> {{ now.words }}</p>
    <button type="button" class="link-button" @click="close(now.name)">{{ left.length > 1 ? 'Next hint' : 'Got it' }}</button>
  </aside>
</template>

<style scoped>
.station-hint {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 20px;
  padding: 2px 14px;
  border-left: 4px solid var(--thread-rest);
  background: var(--paper);
  font-size: 16px;
}

.station-hint p {
  flex: 1 1 300px;
}
</style>
