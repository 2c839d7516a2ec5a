<script setup lang="ts">
import { computed } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import type { Figures, JoinShown, PressDirection, SeamChoices } from '@/api/types'
import { directionAngle } from '@/drawing/geometry'
import { counted } from '@/drawing/words'

const props = defineProps<{ join: JoinShown; choices: SeamChoices | null; totals: Figures; isBusy: boolean }>()
const emit = defineEmits<{ choose: [direction: PressDirection]; release: [] }>()

const ways = computed(() =>
  (['left', 'right', 'open'] as const).map((direction) => ({
    direction,
    word: direction === 'open' ? 'open' : `toward ${direction === 'left' ? props.join.left : props.join.right}`,
    angle: directionAngle(props.join, direction, true),
    isNow: isNow(direction),
    cost: isNow(direction) ? 'as it lies now' : (props.choices?.[direction]?.words ?? '…'),
  })),
)
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
    <p class="soft">{{ join.isPressed ? 'Pressed so already: the plan goes round it.' : join.locked ? 'Locked by you.' : 'As the plan has it.' }} {{ pileNote }}</p>
    <div class="ways" role="group" aria-label="Press this seam">
      <button
        v-for="way in ways"
        :key="way.direction"
        type="button"
        class="way"
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
    <p class="keys soft">
      <kbd>Space</kbd> flips it, <kbd>L</kbd> lets it go.
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
  border: 1px solid var(--hair);
  border-radius: 8px;
  background: var(--paper);
  text-align: left;
  cursor: pointer;
}

.way:hover {
  border-color: var(--thread);
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

.keys {
  min-height: 44px;
}

.release {
  margin-top: 8px;
  width: 100%;
}
</style>
