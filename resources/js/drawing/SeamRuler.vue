<script setup lang="ts">
import { computed } from 'vue'
import type { FabricShown, JoinSheetShown } from '@/api/types'
import { fractionParts } from './fractions'
import { rulerMarks } from './geometry'
import StateMark from './StateMark.vue'

/** A join as the two edges lying on each other, to scale: the left part above, the right part below, the tape between. */
/** isFar: to be read from an arm's length; lower, with larger figures, and with every mark's distance from the start. */
const props = withDefaults(defineProps<{ join: JoinSheetShown; fabrics: FabricShown[]; units: string; isFar?: boolean }>(), { isFar: false })

const unit = computed(() => props.join.length / 820)
const band = computed(() => unit.value * (props.isFar ? 36 : 86))
const tape = computed(() => unit.value * (props.isFar ? 42 : 46))
const figure = computed(() => unit.value * (props.isFar ? 19 : 14))
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
const viewBox = computed(() =>
  props.isFar
    ? `${-unit.value * 96} ${-unit.value * 4} ${props.join.length + unit.value * 102} ${height.value + unit.value * 38}`
    : `${-unit.value * 6} ${-unit.value * 26} ${props.join.length + unit.value * 12} ${height.value + unit.value * 52}`,
)
</script>

<template>
  <svg class="seam-ruler" :viewBox="viewBox" role="img" :aria-label="`${join.title}: ${join.marks.length} marks along ${join.raw[0]} ${units}`">
    <g v-for="(side, s) in sides" :key="s">
      <rect v-for="(patch, i) in side.patches" :key="i" :x="patch.left" :y="side.top" :width="patch.width" :height="band" :fill="patch.color" stroke="#fff" :stroke-width="unit * 1.4" />
      <text v-if="isFar" class="part" :x="-unit * 12" :y="side.top + band / 2 + unit * 8" :font-size="unit * 24" text-anchor="end">{{ side.name }}</text>
      <text v-else class="part" :x="0" :y="s === 0 ? -unit * 8 : height + unit * 20" :font-size="unit * 16">{{ side.name }}{{ join.up === (s === 0 ? 'left' : 'right') ? ', on top' : '' }}</text>
    </g>
    <rect class="tape" :y="band" :width="join.length" :height="tape" />
    <g v-for="inch in rulerMarks(join.length).marks" :key="inch">
      <line class="tick" :x1="inch" :x2="inch" :y1="band" :y2="band + unit * 10" :stroke-width="unit" />
      <text v-if="inch > 0" class="figure" :x="inch" :y="band + unit * 10 + figure" :font-size="figure" text-anchor="middle">{{ inch }}</text>
    </g>
    <g v-for="(mark, i) in join.marks" :key="`mark${i}`">
      <g v-for="s in [0, 1] as const" :key="s">
        <path v-if="way(s === 0 ? mark.left : mark.right) === 'tip'" class="tip" :d="`M${mark.place[s]} ${s === 0 ? band : band + tape} l${-unit * 12} ${(s === 0 ? -1 : 1) * unit * 30} h${unit * 24} z`" />
        <line v-else-if="way(s === 0 ? mark.left : mark.right) === 'seam'" class="seam-line" :x1="mark.place[s]" :x2="mark.place[s]" :y1="s === 0 ? 0 : band + tape" :y2="s === 0 ? band : height" :stroke-width="unit * 3" :stroke-dasharray="`${unit * 8} ${unit * 5}`" />
      </g>
      <line class="pin" :x1="mark.place[0]" :x2="mark.place[1]" :y1="band" :y2="band + tape" :stroke-width="unit * 2.4" :class="mark.verdict" />
      <text v-if="isFar" class="place" :x="mark.place[0]" :y="height + unit * 29" :font-size="unit * 27" text-anchor="middle"><tspan v-for="(part, p) in fractionParts(mark.from_edge[0])" :key="p" :class="{ fraction: part.includes('/') }">{{ part }}</tspan></text>
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

.place {
  font-weight: 650;
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
