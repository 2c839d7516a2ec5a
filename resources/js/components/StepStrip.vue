<script setup lang="ts">
import { nextTick, ref, useTemplateRef } from 'vue'
import type { FaceShown, JoinShown, StepShown } from '@/api/types'
import BlockFace from '@/drawing/BlockFace.vue'

const props = defineProps<{ steps: StepShown[]; done: number; chosen: number | null; face: FaceShown; joins: JoinShown[] }>()
const emit = defineEmits<{ choose: [step: number] }>()

/** The strip is one stop for the keyboard; the arrows go along it. */
const at = ref(0)
const strip = useTemplateRef<HTMLOListElement>('strip')
function go(event: KeyboardEvent) {
  const to = { ArrowRight: at.value + 1, ArrowLeft: at.value - 1, Home: 0, End: props.steps.length - 1 }[event.key]
  if (to === undefined) return
  event.preventDefault()
  event.stopPropagation()
  at.value = Math.min(props.steps.length - 1, Math.max(0, to))
  void nextTick(() => strip.value?.querySelectorAll<HTMLElement>('.step')[at.value]?.focus())
}

const verbs = { join: 'Sew', press: 'Press', 'lay-out': 'Lay out' } as const
</script>

<template>
  <ol ref="strip" class="step-strip" aria-label="Steps in the order of work; the arrow keys go along" @keydown="go">
    <li v-for="(step, i) in steps" :key="i">
      <button v-tip="step.text" type="button" class="step" :class="{ chosen: chosen === i, done: i < done }" :aria-pressed="chosen === i" :data-step="i" :tabindex="i === Math.min(at, steps.length - 1) ? 0 : -1" @focus="at = i" @click="emit('choose', i)">
        <span class="what">{{ verbs[step.do] }}<svg v-if="i < done" viewBox="0 0 16 16" aria-label="done"><path d="M3 8.5 L6.5 12 L13 4.5" /></svg></span>
        <span class="title">{{ step.title }}</span>
        <BlockFace class="picture" :face="face" :joins="joins" :highlighted="step.joins" :patches="step.patches" :pixels="64" label="" aria-hidden="true" />
      </button>
    </li>
  </ol>
</template>

<style scoped>
.step-strip {
  display: flex;
  gap: 4px;
  padding: 10px 16px 12px;
  overflow-x: auto;
  scrollbar-width: thin;
}

.step {
  display: grid;
  grid-template-rows: auto minmax(40px, 1fr) 66px;
  height: 100%;
  gap: 1px;
  width: 132px;
  padding: 6px 8px 8px;
  border: 2px solid transparent;
  border-radius: 8px;
  background: none;
  text-align: left;
  cursor: pointer;
}

.step:hover {
  background: #ecefeb;
}

.step.chosen {
  border-color: var(--thread);
  background: var(--thread-pale);
}

.what {
  font-weight: 650;
  font-size: 16px;
}

.what svg {
  width: 15px;
  margin-left: 5px;
  vertical-align: -2px;
  fill: none;
  stroke: var(--thread);
  stroke-width: 2.6;
}

.title {
  color: var(--soft);
  font-size: 15px;
  line-height: 1.25;
}

.picture {
  width: 64px;
  margin-top: 5px;
}
</style>
