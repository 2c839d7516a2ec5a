<script setup lang="ts">
import { computed } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import type { Figures, JoinShown, PressDirection, SeamChoices } from '@/api/types'
import { directionAngle, pressAngle, stretches } from '@/drawing/geometry'
import { counted } from '@/drawing/words'

const props = defineProps<{ join: JoinShown; choices: SeamChoices | null; totals: Figures; isBusy: boolean }>()
const emit = defineEmits<{ choose: [direction: PressDirection]; stretch: [stretch: number]; release: [] }>()

const ways = computed(() =>
  (['left', 'right', 'open'] as const).map((direction) => ({
    direction,
    word: direction === 'open' ? 'open' : `toward ${direction === 'left' ? props.join.left : props.join.right}`,
    angle: directionAngle(props.join, direction, true),
    isNow: isNow(direction),
    cost: isNow(direction) ? 'as it lies now' : (props.choices?.[direction]?.words ?? '…'),
  })),
)
const stretchWays = computed(() =>
  stretches(props.join).map((stretch) => ({
    angle: pressAngle(props.join, stretch, true),
    word: stretch.press === 'open' ? 'open' : `toward ${stretch.press === 'left' ? props.join.left : props.join.right}`,
  })),
)
const isFurled = computed(() => new Set(props.join.press).size > 1)
const pileNote = computed(() =>
  props.join.pile.length > 1 ? `One pile: the same seam in all ${props.join.pile.length} units is pressed alike.` : '',
)

function isNow(direction: PressDirection): boolean {
  return props.join.press.every((press) => press === direction)
}
</script>

<template>
  <section class="seam-panel" aria-label="The seam you look at">
    <h2>{{ join.title }}</h2>
    <p class="soft">{{ join.isPressed ? 'Pressed so already: the plan goes round it.' : join.locked ? 'Locked by you.' : join.ruled ? 'One of your rules says so.' : 'As the plan has it.' }} {{ pileNote }}</p>
    <div class="ways" role="group" aria-label="Press this seam">
      <button
        v-for="way in ways"
        :key="way.direction"
        type="button"
        class="way pick-card"
        :class="{ now: way.isNow }"
        :data-way="way.direction"
        :aria-pressed="way.isNow"
        :disabled="isBusy"
        @click="emit('choose', way.direction)"
      >
        <svg viewBox="-14 -14 28 28" aria-hidden="true"><path v-if="way.angle !== null" class="arrow" :transform="`rotate(${way.angle})`" d="M-10 -2.2 H2 V-7 L11 0 L2 7 V2.2 H-10 Z" /><path v-else class="arrow" d="M-12 0 L-5 -6 V-2 H5 V-6 L12 0 L5 6 V2 H-5 V6 Z" /></svg>
        <span class="where">{{ way.word }}</span>
        <span class="cost">{{ way.cost }}</span>
      </button>
    </div>
    <fieldset v-if="join.press.length > 1" class="stretches">
      <legend>Stretch by stretch, between its crossings</legend>
      <button v-for="(stretch, i) in stretchWays" :key="i" type="button" class="stretch" :data-stretch="i" :disabled="isBusy || stretch.angle === null" :aria-label="`Stretch ${i + 1}, now ${stretch.word}: flip it`" @click="emit('stretch', i)">
        <span>{{ i + 1 }}</span>
        <svg viewBox="-14 -14 28 28" aria-hidden="true"><path v-if="stretch.angle !== null" class="arrow" :transform="`rotate(${stretch.angle})`" d="M-10 -2.2 H2 V-7 L11 0 L2 7 V2.2 H-10 Z" /><path v-else class="arrow" d="M-12 0 L-5 -6 V-2 H5 V-6 L12 0 L5 6 V2 H-5 V6 Z" /></svg>
      </button>
      <p v-if="isFurled" class="soft">Where it changes sides it is furled: open the two or three stitches inside the allowance, lay the allowances round like a wheel with the finger first, then press. Turned the wrong way they fight you.</p>
    </fieldset>
    <p class="keys soft">
      <template v-if="join.press.length > 1">A click on an arrow flips its stretch. </template><kbd>Space</kbd> flips the whole seam, <kbd>O</kbd> opens it, <kbd>L</kbd> lets it go, arrow keys go from seam to seam.
      <ElButton v-if="join.locked" class="release" :disabled="isBusy" @click="emit('release')">Release the lock</ElButton>
    </p>
    <p class="visually-hidden" aria-live="polite">{{ counted(totals.stacked, 'crossing is stacked', 'crossings are stacked') }}</p>
  </section>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 8px;
  margin: 12px 0;
}

.way {
  display: grid;
  grid-template-columns: 34px 1fr;
  column-gap: 10px;
  align-items: center;
  min-height: 60px;
  padding: 6px 12px;
}

.way.now {
  border: 2px solid var(--thread);
  padding: 5px 11px;
  background: var(--thread-pale);
}

.way svg {
  grid-row: span 2;
  width: 34px;
}

.way .arrow {
  fill: var(--soft);
  stroke: none;
}

.way.now .arrow {
  fill: var(--thread);
}

.where {
  font-weight: 600;
}

.cost {
  color: var(--soft);
  font-size: 15px;
}

/* Room for two lines: prices come after the seam is chosen, and nothing may move under the hand then. */
.way:not(.now) .cost {
  min-height: 2lh;
}

.stretches {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0 0 12px;
  padding: 0;
  border: 0;
}

.stretches legend {
  padding: 0 0 6px;
}

.stretch {
  display: grid;
  grid-template-columns: auto 26px;
  gap: 4px;
  align-items: center;
  min-width: 56px;
  min-height: 44px;
  padding: 4px 8px;
  border: 1px solid var(--hair);
  border-radius: 8px;
  background: var(--paper);
  cursor: pointer;
}

.stretch:hover:not(:disabled) {
  border-color: var(--thread);
}

.stretch .arrow {
  fill: var(--thread);
}

.keys {
  min-height: 44px;
}

.release {
  margin-top: 8px;
  width: 100%;
}
</style>
