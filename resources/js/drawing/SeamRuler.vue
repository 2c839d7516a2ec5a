<script setup lang="ts">
import { computed } from 'vue'
import type { FabricShown, JoinSheetShown } from '@/api/types'
import { rulerMarks } from './geometry'
import StateMark from './StateMark.vue'

/** A join as the two edges lying on each other, to scale: the left part above, the right part below, the tape between. */
const props = defineProps<{ join: JoinSheetShown; fabrics: FabricShown[]; units: string }>()

const unit = computed(() => props.join.length / 820)
const band = computed(() => unit.value * 86)
const tape = computed(() => unit.value * 46)
const colours = computed(() => new Map(props.fabrics.map((fabric) => [fabric.key, fabric.color])))

/** Patches along an edge reach to its raw ends; between, seams lie where they really come out. */
const laid = (side: 0 | 1) => {
  const edge = props.join.edges[side]
  const whole = props.join.rawLengths[side]
  const before = (whole - props.join.finishedLength) / 2
  return edge.map(([from, to, fabric], i) => {
    const left = i === 0 ? 0 : before + from
    const right = i === edge.length - 1 ? whole : before + to
    return { left, width: right - left, color: colours.value.get(fabric) ?? '#fff' }
  })
}
const sides = computed(() => [
  { patches: laid(0), top: 0, name: props.join.leftName },
  { patches: laid(1), top: band.value + tape.value, name: props.join.rightName },
])

const way = (kind: string) => (kind === 'tip' ? 'tip' : kind === 'seam' ? 'seam' : 'none')
const height = computed(() => 2 * band.value + tape.value)
</script>

<template>
  <svg class="seam-ruler" :viewBox="`${-unit * 6} ${-unit * 26} ${join.length + unit * 12} ${height + unit * 52}`" role="img" :aria-label="`${join.title}: ${join.marks.length} marks along ${join.raw[0]} ${units}`">
    <g v-for="(side, s) in sides" :key="s">
      <rect v-for="(patch, i) in side.patches" :key="i" :x="patch.left" :y="side.top" :width="patch.width" :height="band" :fill="patch.color" stroke="#fff" :stroke-width="unit * 1.4" />
      <text class="part" :x="0" :y="s === 0 ? -unit * 8 : height + unit * 20" :font-size="unit * 16">{{ side.name }}{{ join.up === (s === 0 ? 'left' : 'right') ? ', on top' : '' }}</text>
    </g>
    <rect class="tape" :y="band" :width="join.length" :height="tape" />
    <g v-for="inch in rulerMarks(join.length).marks" :key="inch">
      <line class="tick" :x1="inch" :x2="inch" :y1="band" :y2="band + unit * 10" :stroke-width="unit" />
      <text v-if="inch > 0" class="figure" :x="inch" :y="band + unit * 24" :font-size="unit * 14" text-anchor="middle">{{ inch }}</text>
    </g>
    <g v-for="(mark, i) in join.marks" :key="`mark${i}`">
      <g v-for="s in [0, 1] as const" :key="s">
        <path v-if="way(s === 0 ? mark.left : mark.right) === 'tip'" class="tip" :d="`M${mark.place[s]} ${s === 0 ? band : band + tape} l${-unit * 12} ${(s === 0 ? -1 : 1) * unit * 30} h${unit * 24} z`" />
        <line v-else-if="way(s === 0 ? mark.left : mark.right) === 'seam'" class="seam-line" :x1="mark.place[s]" :x2="mark.place[s]" :y1="s === 0 ? 0 : band + tape" :y2="s === 0 ? band : height" :stroke-width="unit * 3" :stroke-dasharray="`${unit * 8} ${unit * 5}`" />
      </g>
      <line class="pin" :x1="mark.place[0]" :x2="mark.place[1]" :y1="band" :y2="band + tape" :stroke-width="unit * 2.4" :class="mark.verdict" />
      <StateMark v-if="mark.nest" :kind="mark.nest" :at="[mark.place[0], band + tape * 0.62]" :size="unit * 24" />
    </g>
  </svg>
</template>

<style scoped>
.seam-ruler {
  display: block;
  width: 100%;
}

.tape {
  fill: #fbf6e4;
  stroke: #b9a876;
  stroke-width: 0.01;
}

.tick {
  stroke: var(--ink);
}

text {
  fill: var(--ink);
  font-family: var(--font);
}

.figure {
  fill: var(--soft);
}

.part {
  font-weight: 600;
}

.tip {
  fill: #fff;
  stroke: var(--ink);
  stroke-width: 0.02;
}

.seam-line {
  stroke: #fff;
  paint-order: stroke;
}

.pin {
  stroke: var(--thread);
}

.pin.ease {
  stroke: var(--ochre);
}

.pin.unpick {
  stroke: var(--brick);
}
</style>
