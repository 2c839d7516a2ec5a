<script setup lang="ts">
import { computed, useId } from 'vue'
import type { FaceShown, FlapShown, JoinShown, Place, StepPicture } from '@/api/types'
import { allowance, mixed, wrongSide } from './colour'
import { fromTheBack, pointsText } from './geometry'

/** One furled crossing from the back, large: the allowances as they turn, and the stitches to open first. */
const props = defineProps<{ furl: StepPicture['furls'][number]; face: FaceShown; flaps: FlapShown[]; joins: JoinShown[]; size: number }>()

const clip = useId()
const radius = computed(() => 2.4 * props.face.allowance)
const back = (place: Place): Place => [props.face.width - place[0], place[1]]
const at = computed(() => back(props.furl.at))
const colours = computed(() => new Map(props.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const cloth = computed(() =>
  props.flaps.map((flap) => {
    const color = colours.value.get(props.face.patches[flap.patch]?.fabric ?? '') ?? '#888888'
    return { points: pointsText(fromTheBack(flap.points, props.face.width)), fill: flap.turnedUp ? color : flap.allowance ? allowance(color) : wrongSide(color), edge: flap.allowance ? mixed(color, '#20262b', 0.45) : 'none' }
  }),
)
/** The seams that end here: their stitches inside the allowance are opened. */
const opened = computed<{ from: Place; to: Place }[]>(() =>
  props.joins.flatMap((join) => {
    const ends = [join.from, join.to].filter((end) => Math.hypot(end[0] - props.furl.at[0], end[1] - props.furl.at[1]) < 1e-3)
    const end = ends[0]
    if (end === undefined || ends.length !== 1) return []
    const far = end === join.from ? join.to : join.from
    const share = props.face.allowance / Math.hypot(far[0] - end[0], far[1] - end[1])
    return [{ from: back(end), to: back([end[0] + (far[0] - end[0]) * share, end[1] + (far[1] - end[1]) * share]) }]
  }),
)
/** A quarter and a half round, with a head, in the sense in which the allowances are laid. */
const sweep = computed(() => (props.furl.clockwise ? 1 : 0))
</script>

<template>
  <svg class="furl-lens" viewBox="-104 -104 208 208" :width="size" role="img" :aria-label="`The furl at ${furl.text.join(', ')} from the back: the allowances are laid ${furl.clockwise ? 'clockwise' : 'anticlockwise'}`">
    <defs>
      <clipPath :id="clip"><circle r="100" /></clipPath>
    </defs>
    <g :clip-path="`url(#${clip})`">
      <g :transform="`scale(${100 / radius}) translate(${-at[0]} ${-at[1]})`" :stroke-width="radius / 90">
        <polygon v-for="(flap, i) in cloth" :key="i" :points="flap.points" :fill="flap.fill" :stroke="flap.edge === 'none' ? flap.fill : flap.edge" />
        <line v-for="(stitch, i) in opened" :key="`o${i}`" class="opened" :x1="stitch.from[0]" :y1="stitch.from[1]" :x2="stitch.to[0]" :y2="stitch.to[1]" :stroke-width="radius / 24" :stroke-dasharray="`${radius / 22} ${radius / 26}`" />
      </g>
    </g>
    <circle r="100" class="rim" />
    <path class="round" :d="sweep === 1 ? 'M-74 0 A74 74 0 1 1 0 74' : 'M74 0 A74 74 0 1 0 0 74'" />
    <path class="head" :d="sweep === 1 ? 'M0 62 L-20 74 L0 86 Z' : 'M0 62 L20 74 L0 86 Z'" />
  </svg>
</template>
