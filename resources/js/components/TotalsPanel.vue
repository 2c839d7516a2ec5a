<script setup lang="ts">
import { computed } from 'vue'
import type { CrossingSeen, Figures, Nesting } from '@/api/types'
import TradeWord from '@/components/TradeWord.vue'
import StateMark from '@/drawing/StateMark.vue'
import { nestingWords } from '@/drawing/words'

const props = defineProps<{ totals: Figures; before: Figures; crossings?: CrossingSeen[] }>()

const kinds: Nesting[] = ['nested', 'stacked', 'flat', 'lopsided']
const figures = computed(() => [
  { key: 'nested', value: `${props.totals.nested}`, of: ` of ${props.totals.matches}`, words: 'crossings nest', word: 'crossing' as const, change: props.totals.nested - props.before.nested, better: 1 },
  { key: 'thickest', value: `${props.totals.thickest}`, of: '', words: 'layers in the thickest lump', word: 'layers' as const, change: props.totals.thickest - props.before.thickest, better: -1 },
  { key: 'folded', value: `${props.totals.folded}`, of: '', words: 'seam ends folded back', word: 'folded' as const, change: props.totals.folded - props.before.folded, better: -1 },
])

const meant = (kind: Nesting) => (props.crossings ?? []).filter((crossing) => crossing.kind === kind && crossing.isMeant).length

const signed = (change: number) => (change > 0 ? `${change} more` : `${-change} fewer`)
</script>

<template>
  <section class="totals" aria-label="Totals">
    <dl class="figures">
      <div v-for="figure in figures" :key="figure.key" :data-total="figure.key">
        <dt><TradeWord :of="figure.word">{{ figure.words }}</TradeWord></dt>
        <dd>
          <b>{{ figure.value }}</b><span class="of">{{ figure.of }}</span>
        </dd>
        <dd v-if="figure.change !== 0" class="change" :class="{ better: figure.change * figure.better > 0 }">{{ signed(figure.change) }} than planned<template v-if="figure.change * figure.better > 0">, better</template></dd>
      </div>
    </dl>
    <ul class="legend" aria-label="Crossings">
      <li v-for="kind in kinds" :key="kind" :data-total="kind">
        <svg viewBox="-11 -11 22 22" aria-hidden="true"><StateMark :kind="kind" :size="20" decorative /></svg>
        <span class="count">{{ totals[kind] }}</span>
        <TradeWord :of="kind">{{ nestingWords[kind].word }}</TradeWord>
        <span class="soft">{{ nestingWords[kind].means }}<template v-if="meant(kind) > 0">, {{ meant(kind) === totals[kind] ? 'as you chose' : `${meant(kind)} as you chose` }}</template></span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.totals :deep(.trade-word) {
  min-height: 44px;
  text-align: left;
}

.figures {
  display: grid;
  gap: 10px;
}

.figures div {
  display: grid;
  grid-template-columns: minmax(74px, max-content) 1fr;
  column-gap: 8px;
  align-items: baseline;
}

.figures dt {
  grid-area: 1 / 2;
}

.figures dd {
  grid-area: 1 / 1;
  white-space: nowrap;
}

.figures .change {
  grid-area: 2 / 2;
  color: var(--brick);
  font-size: 15px;
  font-weight: 600;
}

.figures .change.better {
  color: var(--thread);
}

.figures b {
  font-size: 26px;
  font-weight: 650;
  line-height: 1.15;
}

.of {
  font-weight: 600;
}

.legend {
  margin-top: 12px;
}

.legend li {
  display: grid;
  grid-template-columns: 26px 24px 74px 1fr;
  gap: 6px;
  align-items: center;
  min-height: 36px;
  border-top: 1px solid var(--hair);
  line-height: 1.2;
}

.legend svg {
  width: 24px;
}

.count {
  font-weight: 650;
  text-align: right;
}
</style>
