<script setup lang="ts">
import { computed } from 'vue'
import type { FabricShown, UnitToMake } from '@/api/types'
import FractionText from '@/drawing/FractionText.vue'
import UnitIcon from '@/drawing/UnitIcon.vue'
import RulerOnUnit from './RulerOnUnit.vue'
import WaySketch from './WaySketch.vue'

/** One kind of unit: how many of each hand, the way it is made, step by step, and the others there are. */
const props = defineProps<{ unit: UnitToMake; fabrics: FabricShown[]; units: string }>()
const emit = defineEmits<{ way: [key: string]; oversize: [isOversize: boolean]; done: [isDone: boolean] }>()

const byKey = computed(() => new Map(props.fabrics.map((fabric) => [fabric.key, fabric])))
const way = computed(() => props.unit.ways.find((one) => one.key === props.unit.method))
const size = (pair: [string, string]) => (pair[0] === pair[1] ? pair[0] : pair.join(' x '))
const colours = computed(() => new Map(props.fabrics.map((fabric) => [fabric.key, fabric.color])))
const rank = { light: 0, medium: 1, dark: 2 }
/** The under and the upper fabric: of two equal squares the lighter one lies on top, where the line shows. */
const layers = computed<[string, string]>(() => {
  const [a, b] = [way.value?.pieces[0], way.value?.pieces[1] ?? way.value?.pieces[0]].map((piece) => byKey.value.get(piece?.fabric ?? ''))
  const isSwapped = way.value?.pieces[0]?.exact === way.value?.pieces[1]?.exact && a !== undefined && b !== undefined && rank[a.value] < rank[b.value]
  return isSwapped ? [b.color, a.color] : [a?.color ?? '#fff', b?.color ?? '#fff']
})
const ratio = computed(() => (props.unit.unit === 'flying-geese' ? 2 : 1))
const told = (one: UnitToMake['ways'][number]) =>
  [
    one.batches === null ? 'never gives the hand that is needed' : '',
    one.wrongHand > 0 ? `${one.wrongHand} of the wrong hand over` : one.spare > 0 ? `${one.spare} spare` : '',
    one.isOuterBias ? 'bias edges' : '',
    one.batches === null ? '' : `${one.cloth} sq ${props.units}, ${one.beside} of it not in the units`,
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <article class="unit-card" :class="{ done: unit.isDone }" :data-unit="unit.class" :data-way="unit.method">
    <div class="what">
      <UnitIcon :ratio="ratio" :patches="unit.patches.map((patch) => ({ color: byKey.get(patch.fabric)?.color ?? '#fff', points: patch.points }))" :label="unit.name" />
      <div>
        <h2><b>{{ unit.need + unit.mirrored }}</b> {{ unit.name }} <span class="soft">({{ unit.class }})</span></h2>
        <p v-if="unit.mirrored > 0"><b>{{ unit.need }}</b> of this hand, <b>{{ unit.mirrored }}</b> mirrored</p>
        <p><FractionText :text="size(unit.finished)" /> {{ units }} finished, square up to <b><FractionText :text="size(unit.unfinished)" /></b></p>
        <p class="soft">Half of that: <FractionText :text="size(unit.halves)" /></p>
        <p v-if="unit.look_alike.length > 0" class="warn">Looks like {{ unit.look_alike.join(', ') }}, but is sewn otherwise.</p>
      </div>
      <label class="tick"><input type="checkbox" :checked="unit.isDone" @change="emit('done', ($event.target as HTMLInputElement).checked)" /> made</label>
    </div>
    <template v-if="way">
      <label v-if="unit.ways.length > 1" class="way">Made
        <select :value="unit.method" @change="emit('way', ($event.target as HTMLSelectElement).value)">
          <option v-for="one in unit.ways" :key="one.key" :value="one.key" :disabled="one.batches === null">{{ one.words }} ({{ told(one) }})</option>
        </select>
      </label>
      <p v-if="way.wrongHand > 0" class="warn"><b>{{ way.wrongHand }} come out in the wrong hand</b> and are of no use in this block.</p>
      <p v-else-if="unit.spare > 0">{{ unit.makes }} come out: <b>{{ unit.spare }} spare</b>.</p>
      <ul class="pieces">
        <li v-for="(piece, i) in way.pieces" :key="i">
          <span class="cloth" :style="{ background: byKey.get(piece.fabric)?.color }" />
          <b>{{ piece.count }}</b> {{ byKey.get(piece.fabric)?.name }} <FractionText :text="unit.isOversize ? piece.oversize : piece.exact" /> {{ piece.then }}
        </li>
      </ul>
      <label v-if="way.pieces.length > 0" class="tick"><input type="checkbox" :checked="unit.isOversize" @change="emit('oversize', ($event.target as HTMLInputElement).checked)" /> cut larger, to square up</label>
      <WaySketch v-if="way.sketch" :sketch="way.sketch" :under="layers[0]" :over="layers[1]" :patches="unit.patches" :colours="colours" :ratio="ratio" />
      <ol class="steps">
        <li v-for="(step, i) in way.steps" :key="i">{{ step }}</li>
      </ol>
      <p v-if="way.note" class="soft">{{ way.note }}</p>
      <p v-if="way.bonus" class="soft">Sew the waste first, half an inch away, and each unit leaves {{ way.bonus }}.</p>
      <div class="square-up">
        <RulerOnUnit :ruler="unit.ruler" :patches="unit.patches.map((patch) => ({ color: byKey.get(patch.fabric)?.color ?? '#fff', points: patch.points }))" />
        <p>{{ unit.ruler.words }} Two sides first, half a turn, then the other two.</p>
      </div>
    </template>
  </article>
</template>

<style scoped>
.unit-card {
  display: grid;
  gap: 8px;
  align-content: start;
  padding-top: 14px;
  border-top: 2px solid var(--hair);
}

.unit-card.done {
  border-top-color: var(--thread);
}

.what {
  display: grid;
  grid-template-columns: 84px 1fr auto;
  gap: 14px;
  align-items: start;
}

.tick {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}

.tick input {
  width: 24px;
  min-height: 24px;
  height: 24px;
  accent-color: var(--thread);
}

.way {
  display: grid;
  gap: 2px;
}

.pieces li {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 34px;
  font-size: 18px;
}

.cloth {
  width: 22px;
  height: 22px;
  border: 1px solid var(--hair);
  border-radius: 4px;
}

.steps {
  display: grid;
  gap: 2px;
  counter-reset: step;
}

.steps li {
  display: grid;
  grid-template-columns: 26px 1fr;
}

.steps li::before {
  counter-increment: step;
  content: counter(step);
  color: var(--soft);
}

.square-up {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 14px;
  align-items: center;
}
</style>
