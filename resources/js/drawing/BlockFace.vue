<script setup lang="ts">
import { computed } from 'vue'
import type { CrossingShown, FaceShown, JoinShown } from '@/api/types'
import { boxRound, pointsText } from './geometry'
import StateMark from './StateMark.vue'

const props = withDefaults(
  defineProps<{
    face: FaceShown
    label: string
    joins?: JoinShown[]
    crossings?: CrossingShown[]
    /** Seams drawn strongly. */
    highlighted?: number[]
    /** Patches drawn in full; the others fade. All when left out. */
    patches?: number[]
    /** Show only the part of the block those patches take up. */
    closeUp?: boolean
    /** What is drawn in place of those patches: the same out to the raw edge. */
    raw?: FaceShown['patches']
    /** How wide the picture is on the screen, about, in pixels: strokes and marks keep their size. */
    pixels?: number
  }>(),
  { joins: () => [], crossings: () => [], highlighted: () => [], patches: undefined, closeUp: false, raw: () => [], pixels: 240 },
)

const colours = computed(() => new Map(props.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const full = computed(() => (props.patches === undefined ? null : new Set(props.patches)))
const inFull = computed(() => (props.raw.length > 0 ? props.raw : props.face.patches.filter((patch) => full.value?.has(patch.id))))
const drawn = computed(() => (props.closeUp && full.value !== null ? inFull.value : props.face.patches))
const box = computed(() =>
  props.closeUp && full.value !== null
    ? boxRound(inFull.value.flatMap((patch) => patch.points))
    : { left: 0, top: 0, width: props.face.width, height: props.face.height },
)
const scale = computed(() => Math.max(box.value.width, box.value.height) / props.pixels)
const viewBox = computed(() => `${box.value.left} ${box.value.top} ${box.value.width} ${box.value.height}`)
const seams = computed(() =>
  props.joins.filter((join) => props.highlighted.includes(join.id) && (!props.closeUp || join.patches.every((patch) => full.value?.has(patch)))),
)
</script>

<template>
  <svg class="block-face" :viewBox="viewBox" role="img" :aria-label="label" preserveAspectRatio="xMidYMid meet">
    <polygon
      v-for="patch in drawn"
      :key="patch.id"
      :points="pointsText(patch.points)"
      :fill="colours.get(patch.fabric)"
      :stroke="colours.get(patch.fabric)"
      :stroke-width="scale"
      :class="{ faded: full !== null && !full.has(patch.id) }"
    />
    <g class="seams">
      <template v-for="join in seams" :key="join.id">
        <line class="seam-halo" :x1="join.from[0]" :y1="join.from[1]" :x2="join.to[0]" :y2="join.to[1]" :stroke-width="scale * 6" />
        <line
          class="seam-highlight"
          :data-join="join.id"
          :x1="join.from[0]"
          :y1="join.from[1]"
          :x2="join.to[0]"
          :y2="join.to[1]"
          :stroke-width="scale * 2.6"
          :stroke-dasharray="`${scale * 7} ${scale * 4}`"
        />
      </template>
    </g>
    <StateMark v-for="crossing in crossings" :key="`${crossing.join}:${crossing.text.join()}`" :kind="crossing.kind" :at="crossing.at" :size="scale * 17" />
  </svg>
</template>
