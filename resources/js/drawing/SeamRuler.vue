<script setup lang="ts">
import { computed } from 'vue'
import type { FabricShown, JoinSheetShown, Place } from '@/api/types'
import { fractionParts } from './fractions'
import { asOnRuler } from './fractions'
import { pointsText, rulerMarks } from './geometry'
import StateMark from './StateMark.vue'

/** A join as the two edges lying on each other, to scale: the left part above, the right part below, the tape between. */
/** isFar: to be read from an arm's length; lower, with larger figures, and with every mark's distance from the start. */
const props = withDefaults(defineProps<{ join: JoinSheetShown; fabrics: FabricShown[]; units: 'in' | 'mm'; isFar?: boolean }>(), { isFar: false })

const unit = computed(() => length.value / 820)
const band = computed(() => unit.value * (props.isFar ? 36 : 86))
const tape = computed(() => unit.value * (props.isFar ? 42 : 46))
const figure = computed(() => unit.value * (props.isFar ? 19 : 14))
const colours = computed(() => new Map(props.fabrics.map((fabric) => [fabric.key, fabric.color])))

/** How far the ruler's zero, the finished corner at the start, lies from the left: both raw edges reach past it. */
const zero = computed(() => Math.max(...props.join.ends[0].reach))
const length = computed(() => zero.value + Math.max(...props.join.realLengths) + Math.max(...props.join.ends[1].reach))
/** Patches along an edge reach to its raw ends, which slant as the part's next side does; between, seams lie where they really come out. */
const laid = (side: 0 | 1) => {
  const [start, end] = props.join.ends
  const edge = props.join.edges[side]
  const y = (inward: number) => (side === 0 ? band.value - inward : band.value + tape.value + inward)
  return edge.map(([from, to, fabric], i) => {
    const stretch = edge.length === 1 ? props.join.realLengths[side] : to
    const [left, right] = [zero.value + from, zero.value + stretch]
    const [leftSlant, rightSlant] = [i === 0 ? start.slant[side] : 0, i === edge.length - 1 ? end.slant[side] : 0]
    const outer = [i === 0 ? zero.value - start.reach[side] : left, i === edge.length - 1 ? zero.value + props.join.realLengths[side] + end.reach[side] : right] as const
    // A steep side would cross the other within the picture: then the band ends where they meet.
    const room = leftSlant + rightSlant > 1e-9 ? (outer[1] - outer[0]) / (leftSlant + rightSlant) : Infinity
    const depth = Math.min(band.value, room)
    const points: Place[] = [[outer[0], y(0)], [outer[1], y(0)], [outer[1] - rightSlant * depth, y(depth)], [outer[0] + leftSlant * depth, y(depth)]]
    return { points: pointsText(points), color: colours.value.get(fabric) ?? '#fff' }
  })
}
const sides = computed(() => [
  { patches: laid(0), top: 0, name: props.join.leftName },
  { patches: laid(1), top: band.value + tape.value, name: props.join.rightName },
])

/** Marks are told from each part's own raw corner. */
const at = (mark: JoinSheetShown['marks'][number], side: 0 | 1) => zero.value - props.join.ends[0].reach[side] + mark.place[side]

const way = (kind: string) => (kind === 'tip' ? 'tip' : kind === 'seam' ? 'seam' : 'none')
const height = computed(() => 2 * band.value + tape.value)
const viewBox = computed(() =>
  props.isFar
    ? `${-unit.value * 96} ${-unit.value * 4} ${length.value + unit.value * 102} ${height.value + unit.value * 38}`
    : `${-unit.value * 6} ${-unit.value * 26} ${length.value + unit.value * 12} ${height.value + unit.value * 52}`,
)
</script>

<template>
  <svg class="seam-ruler" :viewBox="viewBox" role="img" :aria-label="`${join.title}: ${join.marks.length} marks along ${join.raw[0]} ${units}`">
    <g v-for="(side, s) in sides" :key="s">
      <polygon v-for="(patch, i) in side.patches" :key="i" class="cloth" :points="patch.points" :fill="patch.color" stroke="#fff" :stroke-width="unit * 1.4" />
      <text v-if="isFar" class="part" :x="-unit * 12" :y="side.top + band / 2 + unit * 8" :font-size="unit * 24" text-anchor="end">{{ side.name }}</text>
      <text v-else class="part" :x="0" :y="s === 0 ? -unit * 8 : height + unit * 20" :font-size="unit * 16">{{ side.name }}{{ join.up === (s === 0 ? 'left' : 'right') ? ', on top' : '' }}</text>
    </g>
    <rect class="tape" :y="band" :width="length" :height="tape" />
    <g v-for="inch in rulerMarks(length).marks" :key="inch">
      <line class="tick" :x1="inch" :x2="inch" :y1="band" :y2="band + unit * 10" :stroke-width="unit" />
      <text v-if="inch > 0" class="figure" :x="inch" :y="band + unit * 10 + figure" :font-size="figure" text-anchor="middle">{{ asOnRuler(`${inch}`, units) }}</text>
    </g>
    <g v-for="(mark, i) in join.marks" :key="`mark${i}`">
      <g v-for="s in [0, 1] as const" :key="s">
        <path v-if="way(s === 0 ? mark.left : mark.right) === 'tip'" class="tip" :d="`M${at(mark, s)} ${s === 0 ? band : band + tape} l${-unit * 12} ${(s === 0 ? -1 : 1) * unit * 30} h${unit * 24} z`" />
        <line v-else-if="way(s === 0 ? mark.left : mark.right) === 'seam'" class="seam-line" :x1="at(mark, s)" :x2="at(mark, s)" :y1="s === 0 ? 0 : band + tape" :y2="s === 0 ? band : height" :stroke-width="unit * 3" :stroke-dasharray="`${unit * 8} ${unit * 5}`" />
      </g>
      <line class="pin" :x1="at(mark, 0)" :x2="at(mark, 1)" :y1="band" :y2="band + tape" :stroke-width="unit * 2.4" :class="mark.verdict" />
      <text v-if="isFar" class="place" :x="at(mark, 0)" :y="height + unit * 29" :font-size="unit * 27" text-anchor="middle"><tspan v-for="(part, p) in fractionParts(mark.from_edge[0])" :key="p" :class="{ fraction: part.includes('/') }">{{ part }}</tspan></text>
      <StateMark v-if="mark.nest" :kind="mark.nest" :at="[at(mark, 0), band + tape * 0.62]" :size="unit * 24" />
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
