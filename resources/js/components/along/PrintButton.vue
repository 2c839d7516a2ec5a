<script setup lang="ts">
import type { PaperKind } from '@/api/client'
import { usePaper, usePrintedSheets } from '@/composables/usePaper'
import type { Thing } from '@/drawing/along'

/** The sheets of where one is, with one touch; the browser's own print gives the same. */
const props = defineProps<{ thing: Thing; kinds: PaperKind[] }>()
const { isBusy, problem, awaited, print } = usePaper(() => props.thing)
usePrintedSheets(() => ({ thing: props.thing, kinds: props.kinds }))
</script>

<template>
  <div class="print-button">
    <button v-tip="'The sheet of this page, as a PDF'" type="button" class="rail-button" :disabled="isBusy" @click="print(kinds)">
      <svg viewBox="0 0 20 20" aria-hidden="true"><path d="M5.5 7 V2.5 H14.5 V7 M5.5 14 H3 V7 H17 V14 H14.5 M5.5 11.5 H14.5 V17.5 H5.5 Z" /></svg><span>{{ isBusy ? (awaited?.what === 'paper' ? `${awaited.done} of ${awaited.most} sheets` : 'Printing') : 'Print' }}</span>
    </button>
    <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.warn {
  padding: 0 8px;
  font-size: 15px;
}
</style>
