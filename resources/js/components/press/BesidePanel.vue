<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { BesideShown, Figures, Place } from '@/api/types'
import ChoiceRadios from '@/components/controls/ChoiceRadios.vue'
import FractionText from '@/drawing/FractionText.vue'
import { nestingWords } from '@/drawing/words'

/** The quilter's way beside the planner's, figure by figure and crossing by crossing; either can be sewn. */
const props = defineProps<{ block: number; version: number; ownWay: boolean; hasOwn: boolean; isBusy: boolean }>()
const emit = defineEmits<{ choose: [own: boolean]; look: [at: Place] }>()

const beside = shallowRef<BesideShown | null>(null)
watch(
  () => [props.block, props.version, props.hasOwn] as const,
  async ([block, version, hasOwn]) => {
    if (!hasOwn) return
    const answer = await api.ownBesidePlanned(block).catch(() => null)
    if (props.block === block && props.version === version) beside.value = answer
  },
  { immediate: true },
)

const lines: [keyof Figures, string][] = [
  ['nested', 'nest'],
  ['stacked', 'ridge on ridge'],
  ['lopsided', 'lopsided'],
  ['flat', 'open to open'],
  ['thickest', 'layers at most'],
  ['folded', 'ends folded back'],
  ['furls', 'furls'],
]
const rows = computed(() => lines.map(([key, words]) => ({ key, words, own: beside.value?.own.figures[key], planned: beside.value?.planned.figures[key] })))
const told = (then: { kind: string | null; peak: number }) => `${then.kind === null ? '' : `${nestingWords[then.kind as keyof typeof nestingWords].word}, `}${then.peak} layers`
</script>

<template>
  <section class="beside" aria-label="Your way and the planner's">
    <h2>Your way and the planner's</h2>
    <p v-if="!hasOwn" class="soft">You have locked no seam and said no rule: you sew it as planned.</p>
    <template v-else>
      <ChoiceRadios class="which" :model-value="ownWay" label="Which way is sewn" hides-label :disabled="isBusy" :choices="[{ value: true, words: 'Sew it my way' }, { value: false, words: 'Sew the planner\'s' }]" @update:model-value="emit('choose', $event)" />
      <p v-if="beside === null" class="soft" role="status">Laying them side by side</p>
      <template v-else>
        <table>
          <thead>
            <tr><th scope="col"><span class="visually-hidden">Figure</span></th><th scope="col">yours</th><th scope="col">planned</th></tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.key" :data-figure="row.key" :class="{ differs: row.own !== row.planned }"><th scope="row">{{ row.words }}</th><td>{{ row.own }}</td><td>{{ row.planned }}</td></tr>
          </tbody>
        </table>
        <p>Yours beside the planner's: {{ beside.words }}.</p>
        <details v-if="beside.crossings.length > 0">
          <summary>{{ beside.crossings.length === 1 ? 'One crossing differs' : `${beside.crossings.length} crossings differ` }}</summary>
          <ul>
            <li v-for="crossing in beside.crossings" :key="crossing.text.join()"><button type="button" class="link-button" @click="emit('look', crossing.at)"><FractionText :text="crossing.text.join(', ')" /></button> yours {{ told(crossing.own) }}; planned {{ told(crossing.planned) }}</li>
          </ul>
        </details>
      </template>
    </template>
  </section>
</template>

<style scoped>
h2 {
  font-size: 18px;
}

.which label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}

table {
  width: 100%;
  margin: 8px 0;
  border-collapse: collapse;
}

th,
td {
  padding: 4px 0;
  border-top: 1px solid var(--hair);
  text-align: right;
}

th[scope='row'] {
  font-weight: 400;
  text-align: left;
}

.differs td {
  font-weight: 650;
}

summary {
  min-height: 44px;
  line-height: 44px;
  cursor: pointer;
}

li {
  padding: 4px 0;
}
</style>
