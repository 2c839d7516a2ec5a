<script setup lang="ts">
import { computed } from 'vue'
import type { UnitPicture, WayShown } from '@/api/types'
import UnitIcon from '@/drawing/UnitIcon.vue'

/** A way to make a unit as small pictures: lay, mark and sew, cut, open. */
const props = defineProps<{ sketch: NonNullable<WayShown['sketch']>; under: string; over: string; patches: UnitPicture[]; colours: Map<string, string>; ratio: number }>()

const opened = computed(() => props.patches.map((patch) => ({ color: props.colours.get(patch.fabric) ?? '#fff', points: patch.points })))
const box = computed(() => `-0.08 -0.08 1.2 ${props.sketch.height + 0.2}`)
const frames = computed(() => (props.sketch.lines.length > 0 ? (['lay', 'mark, sew', 'cut'] as const) : (['lay', 'mark, sew'] as const)))
</script>

<template>
  <ol class="way-sketch" aria-hidden="true">
    <li v-for="frame in frames" :key="frame">
      <svg :viewBox="box">
        <rect class="cloth" width="1" :height="sketch.height" :fill="under" />
        <rect v-for="([x, y, width, height], i) in sketch.over" :key="i" class="cloth" :x="frame === 'lay' ? x + 0.05 : x" :y="frame === 'lay' ? y + 0.05 : y" :width="width" :height="height" :fill="over" fill-opacity="0.75" />
        <template v-if="frame !== 'lay'">
          <line v-for="([from, to], i) in sketch.lines" :key="`line${i}`" :class="frame === 'cut' ? 'gap' : 'line'" :x1="from[0]" :y1="from[1]" :x2="to[0]" :y2="to[1]" />
        </template>
        <template v-if="frame === 'mark, sew'">
          <g v-for="([from, to], i) in sketch.stitches" :key="`stitch${i}`"><line class="halo" :x1="from[0]" :y1="from[1]" :x2="to[0]" :y2="to[1]" /><line class="stitch" :x1="from[0]" :y1="from[1]" :x2="to[0]" :y2="to[1]" /></g>
        </template>
      </svg>
      {{ frame }}
    </li>
    <li><UnitIcon :patches="opened" :ratio="ratio" />open, press</li>
  </ol>
</template>

<style scoped>
.way-sketch {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
}

li {
  width: 84px;
  font-size: 15px;
  text-align: center;
}

svg {
  display: block;
  width: 84px;
  height: 84px;
}

.cloth {
  stroke: #fff;
  stroke-width: 0.015;
}

.line {
  stroke: var(--ink);
  stroke-width: 0.018;
}

.halo {
  stroke: #fff;
  stroke-width: 0.045;
}

.stitch {
  stroke: var(--thread);
  stroke-width: 0.026;
  stroke-dasharray: 0.06 0.035;
}

.gap {
  stroke: var(--ground);
  stroke-width: 0.06;
}
</style>
