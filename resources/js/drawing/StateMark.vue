<script setup lang="ts">
import { computed } from 'vue'
import type { Nesting, Place } from '@/api/types'
import { nestingWords } from './words'

const props = withDefaults(defineProps<{ kind: Nesting; at?: Place; size?: number; decorative?: boolean }>(), {
  at: () => [0, 0] as Place,
  size: 1,
  decorative: false,
})

/** Two hooks that lock, two bars on one side, a half ring, an open ring; drawn in a circle of radius 10. */
const shapes: Record<Nesting, string> = {
  nested: 'M-6 -3.4 H2.6 V2.2 M6 3.4 H-2.6 V-2.2',
  stacked: 'M-2.4 -5 V5 M2.4 -5 V5',
  lopsided: 'M0 -4.6 A4.6 4.6 0 0 1 0 4.6',
  flat: 'M0 -4.4 A4.4 4.4 0 1 1 -0.01 -4.4 Z',
}
const transform = computed(() => `translate(${props.at[0]} ${props.at[1]}) scale(${props.size / 20})`)
</script>

<template>
  <g
    :class="['state-mark', kind]"
    :transform="transform"
    :role="decorative ? undefined : 'img'"
    :aria-label="decorative ? undefined : nestingWords[kind].word"
    :data-kind="kind"
  >
    <circle r="10" />
    <path :d="shapes[kind]" />
  </g>
</template>
