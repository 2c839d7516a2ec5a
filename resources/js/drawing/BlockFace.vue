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

const MANY = 400

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
/** Where there are very many, all of one fabric are drawn at once. */
const isMany = computed(() => drawn.value.length > MANY)
const heaps = computed(() => {
  const heaps = new Map<string, { key: string; fill: string | undefined; isFaded: boolean; d: string }>()
  for (const patch of isMany.value ? drawn.value : []) {
    const isFaded = full.value !== null && !full.value.has(patch.id)
    const key = `${patch.fabric}${isFaded ? ' faded' : ''}`
    const heap = heaps.get(key) ?? { key, fill: colours.value.get(patch.fabric), isFaded, d: '' }
    heap.d += `M${pointsText(patch.points)}Z`
    heaps.set(key, heap)
  }
  return [...heaps.values()]
})
const strong = computed(() => new Set(props.highlighted))
const seams = computed(() =>
  strong.value.size === 0 ? [] : props.joins.filter((join) => strong.value.has(join.id) && (!props.closeUp || join.patches.every((patch) => full.value?.has(patch)))),
)
const path = (joins: JoinShown[]) => joins.map((join) => `M${join.from.join(' ')}L${join.to.join(' ')}`).join('')
</script>

<template>
  <svg class="block-face" :viewBox="viewBox" role="img" :aria-label="label" preserveAspectRatio="xMidYMid meet">
    <path v-for="heap in heaps" :key="heap.key" :d="heap.d" :fill="heap.fill" :stroke="heap.fill" :stroke-width="scale" :class="{ faded: heap.isFaded }" />
    <polygon
      v-for="patch in isMany ? [] : drawn"
      :key="patch.id"
      :points="pointsText(patch.points)"
      :fill="colours.get(patch.fabric)"
      :stroke="colours.get(patch.fabric)"
      :stroke-width="scale"
      :class="{ faded: full !== null && !full.has(patch.id) }"
    />
    <g v-if="seams.length > MANY" class="seams">
      <path class="seam-halo" :d="path(seams)" :stroke-width="scale * 6" />
      <path class="seam-highlight" :d="path(seams)" :stroke-width="scale * 2.6" />
    </g>
    <g v-else class="seams">
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
    <StateMark v-for="crossing in isMany ? crossings.filter((one) => one.kind !== 'nested') : crossings" :key="`${crossing.join}:${crossing.text.join()}`" :kind="crossing.kind" :at="crossing.at" :size="scale * 17" />
  </svg>
</template>
