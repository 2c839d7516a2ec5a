<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Place, StageShown } from '@/api/types'
import { pointsText } from './geometry'
import { laidApart } from './stages'

/** One stage of making a unit, to scale at raw size: cloth with its back hatched, drawn lines, stitches, the knife's way. */
const props = defineProps<{ stage: StageShown; colours: Map<string, string>; large?: boolean }>()

const hatching = useId()
const laid = computed(() => laidApart(props.stage.things, props.stage.do === 'lay'))
/** Lines are as thick in a long set of strips as its height allows. */
const unit = computed(() => Math.min(Math.max(laid.value.width, laid.value.height) / 100, Math.min(laid.value.width, laid.value.height) / 40))
const viewBox = computed(() => `${-unit.value * 3} ${-unit.value * 3} ${laid.value.width + unit.value * 6} ${laid.value.height + unit.value * 6}`)
const shifted = ([x, y]: Place): Place => [x - (laid.value.origin[0] ?? 0), y - (laid.value.origin[1] ?? 0)]
const lines = computed(() => [
  ...props.stage.marks.map((line) => ({ kind: 'mark', line })),
  ...props.stage.knives.map((line) => ({ kind: 'knife', line })),
  ...props.stage.stitches.map((line) => ({ kind: 'stitch', line })),
].map(({ kind, line }) => ({ kind, from: shifted(line[0]), to: shifted(line[1]) })))
</script>

<template>
  <svg class="stage-picture" :class="{ large }" :viewBox="viewBox" aria-hidden="true">
    <defs>
      <pattern :id="hatching" patternUnits="userSpaceOnUse" :width="unit * 7" :height="unit * 7" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" :y2="unit * 7" stroke="#fff" :stroke-width="unit * 4" stroke-opacity="0.5" />
      </pattern>
    </defs>
    <g v-for="(patch, i) in laid.patches" :key="i">
      <polygon :points="pointsText(patch.points)" :fill="colours.get(patch.fabric) ?? '#fff'" :fill-opacity="patch.isBack ? 0.82 : 1" stroke="#5a6268" :stroke-width="unit" />
      <polygon v-if="patch.isBack" :points="pointsText(patch.points)" :fill="`url(#${hatching})`" />
    </g>
    <template v-for="(one, i) in lines" :key="`line${i}`">
      <line class="halo" :x1="one.from[0]" :y1="one.from[1]" :x2="one.to[0]" :y2="one.to[1]" :stroke-width="unit * 4.5" />
      <line :class="one.kind" :x1="one.from[0]" :y1="one.from[1]" :x2="one.to[0]" :y2="one.to[1]" :stroke-width="unit * (one.kind === 'stitch' ? 2.6 : 1.8)" :stroke-dasharray="one.kind === 'stitch' ? `${unit * 6} ${unit * 3.5}` : one.kind === 'knife' ? `${unit * 12} ${unit * 4} ${unit * 2} ${unit * 4}` : undefined" />
    </template>
  </svg>
</template>

<style scoped>
.stage-picture {
  display: block;
  width: 92px;
  height: 74px;
}

.stage-picture.large {
  width: 100%;
  height: 100%;
}

.halo {
  stroke: #fff;
}

.mark {
  stroke: var(--ink);
}

.stitch {
  stroke: var(--thread);
}

.knife {
  stroke: var(--brick);
}
</style>
