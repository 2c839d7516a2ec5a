<script setup lang="ts">
import type { FaceShown, JoinShown, StepShown } from '@/api/types'
import BlockFace from '@/drawing/BlockFace.vue'

defineProps<{ steps: StepShown[]; done: number; chosen: number | null; face: FaceShown; joins: JoinShown[] }>()
const emit = defineEmits<{ choose: [step: number] }>()

const verbs = { join: 'Sew', press: 'Press', 'lay-out': 'Lay out' } as const
</script>

<template>
  <ol class="step-strip" aria-label="Steps in the order of work">
    <li v-for="(step, i) in steps" :key="i">
      <button type="button" class="step" :class="{ chosen: chosen === i, done: i < done }" :aria-pressed="chosen === i" :title="step.text" :data-step="i" @click="emit('choose', i)">
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
  grid-template-rows: auto 40px 66px;
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
  overflow: hidden;
  color: var(--soft);
  font-size: 15px;
  line-height: 1.25;
}

.picture {
  width: 64px;
  margin-top: 5px;
}
</style>
