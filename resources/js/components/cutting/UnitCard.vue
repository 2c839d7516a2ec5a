<script setup lang="ts">
import { computed } from 'vue'
import type { Build, FabricShown, Margin, UnitToMake } from '@/api/types'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import CheckField from '@/components/controls/CheckField.vue'
import { asOnRuler } from '@/drawing/fractions'
import FractionText from '@/drawing/FractionText.vue'
import UnitIcon from '@/drawing/UnitIcon.vue'
import RulerOnUnit from './RulerOnUnit.vue'
import WayStages from './WayStages.vue'

/** One kind of unit: how many of each hand, the way it is made, step by step, and the others there are. */
const props = defineProps<{ unit: UnitToMake; fabrics: FabricShown[]; units: 'in' | 'mm' }>()
const emit = defineEmits<{ way: [key: string]; margin: [margin: Margin]; build: [build: Build]; done: [isDone: boolean] }>()

const byKey = computed(() => new Map(props.fabrics.map((fabric) => [fabric.key, fabric])))
const way = computed(() => props.unit.ways.find((one) => one.key === props.unit.method))
const size = (pair: [string, string]) => (pair[0] === pair[1] ? pair[0] : pair.join(' x '))
const colours = computed(() => new Map(props.fabrics.map((fabric) => [fabric.key, fabric.color])))
</script>

<template>
  <article class="unit-card" :class="{ done: unit.isDone }" :data-unit="unit.class" :data-way="unit.method">
    <div class="what">
      <UnitIcon :ratio="unit.ratio" :patches="unit.patches.map((patch) => ({ color: byKey.get(patch.fabric)?.color ?? '#fff', points: patch.points }))" :label="unit.name" />
      <div>
        <h2><b>{{ unit.need + unit.mirrored }}</b> {{ unit.name }} <span v-if="unit.tag || unit.partOf" class="soft">({{ [unit.tag, unit.partOf && `within ${unit.partOf}`].filter(Boolean).join(', ') }})</span></h2>
        <p v-if="unit.mirrored > 0"><b>{{ unit.need }}</b> of this hand, <b>{{ unit.mirrored }}</b> mirrored</p>
        <p><FractionText :text="size(unit.finished)" /> {{ units }} finished, square up to <b><FractionText :text="size(unit.unfinished)" /></b></p>
        <p class="soft">Half of that: <FractionText :text="size(unit.halves)" /></p>
        <p v-if="unit.look_alike.length > 0" class="warn">Looks like {{ unit.look_alike.join(', ') }}, but is sewn otherwise.</p>
      </div>
      <CheckField class="tick" :model-value="unit.isDone" :label="`${unit.name}: made`" @update:model-value="emit('done', $event)">made</CheckField>
    </div>
    <template v-if="way">
      <div v-if="unit.ways.length > 1" class="way">
        <span aria-hidden="true">Made</span>
        <ChoiceField :model-value="unit.method" :label="`How ${unit.name} are made`" hides-label :choices="unit.ways.map((one) => ({ value: one.key, words: asOnRuler(`${one.words}${one.over ? ` (${one.over})` : ''}`, units), disabled: one.batches === null }))" @update:model-value="emit('way', $event ?? '')" />
      </div>
      <p v-for="one in unit.says" :key="one.text" :class="{ warn: one.wants === 'work' }"><FractionText :text="one.text" /></p>
      <ul class="pieces">
        <li v-for="(piece, i) in way.pieces" :key="i">
          <span class="cloth" :style="{ background: byKey.get(piece.fabric)?.color }" />
          <b>{{ piece.count }}</b> {{ byKey.get(piece.fabric)?.name }} <template v-if="piece.shape === 'template'">round template {{ piece.letter }}</template><FractionText v-else :text="piece.size" /> {{ piece.then }}<span v-if="piece.isLarger && piece.shape !== 'template'" class="soft"> (exact <FractionText :text="piece.exact" />)</span>
        </li>
      </ul>
      <ChoiceField v-if="unit.canComeEitherWay" class="way" :model-value="unit.build" label="Those built the other way" :choices="[{ value: 'alike', words: 'are not used: all alike' }, { value: 'as they come', words: 'are used as they come; the plan follows' }]" @update:model-value="emit('build', $event as Build)" />
      <CheckField v-if="way.pieces.length > 0" :model-value="way.pieces.some((piece) => piece.isLarger)" @update:model-value="emit('margin', $event ? 'larger' : 'exact')">cut larger, to square up</CheckField>
      <WayStages :stages="way.stages" :colours="colours" />
      <p v-if="way.note" class="soft"><FractionText :text="way.note" /></p>
      <p v-if="way.bonus" class="soft">Sew the waste first, {{ units === 'in' ? 'half an inch' : '12 mm' }} away, and each unit leaves <FractionText :text="way.bonus" />.</p>
      <div class="square-up">
        <RulerOnUnit :ruler="unit.ruler" :patches="unit.patches.map((patch) => ({ color: byKey.get(patch.fabric)?.color ?? '#fff', points: patch.points }))" />
        <p><FractionText :text="unit.ruler.words" /> Two sides first, half a turn, then the other two.</p>
      </div>
    </template>
  </article>
</template>

<style scoped>
.unit-card {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
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
  grid-template-columns: 84px minmax(0, 1fr) auto;
  gap: 14px;
  align-items: start;
}

.tick {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}

.way {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
}

.pieces li {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 0 8px;
  min-height: 34px;
  font-size: 18px;
}

.cloth {
  width: 22px;
  height: 22px;
  border: 1px solid var(--hair);
  border-radius: 4px;
}

.square-up {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 14px;
  align-items: center;
}
</style>
