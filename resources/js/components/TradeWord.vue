<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { RouterLink } from 'vue-router'
import { ElPopover } from 'element-plus/es/components/popover/index'
import 'element-plus/es/components/popover/style/css'
import { word, type WordKey } from '@/drawing/glossary'
import WordDrawing from '@/drawing/WordDrawing.vue'

/** A word that explains itself where it stands: by a touch, or by Enter. */
const props = defineProps<{ of: WordKey }>()
const told = computed(() => word(props.of))
const isOpen = ref(false)
/** Wherever the focus is. */
const onKey = (event: KeyboardEvent) => event.key === 'Escape' && (isOpen.value = false)
watch(isOpen, (open) => (open ? window.addEventListener('keydown', onKey) : window.removeEventListener('keydown', onKey)))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <ElPopover v-model:visible="isOpen" trigger="click" :width="300" placement="bottom-start" :persistent="false">
    <template #reference>
      <button v-tip="`What is “${told.word}”?`" type="button" class="trade-word" :aria-expanded="isOpen"><slot>{{ told.word }}</slot></button>
    </template>
    <section class="card" :aria-label="`What ${told.word} means`">
      <h3>{{ told.word }}</h3>
      <WordDrawing v-if="told.drawing" :of="told.drawing" />
      <p>{{ told.means }}</p>
      <RouterLink :to="{ name: 'words', hash: `#${of}` }">All words</RouterLink>
    </section>
  </ElPopover>
</template>

<style scoped>
.trade-word {
  display: inline;
  min-width: 24px;
  min-height: 24px;
  padding: 0;
  border: 0;
  background: none;
  font: inherit;
  text-align: inherit;
  text-decoration: underline dotted var(--thread) 2px;
  text-underline-offset: 4px;
  cursor: help;
}

.card {
  display: grid;
  gap: 8px;
  font-size: 16px;
  line-height: 1.4;
  color: var(--ink);
}

h3 {
  margin: 0;
  font-size: 18px;
}
</style>
