<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import * as api from '@/api/client'
import type { AdviceShown, LockAsked, OpenedTold, Place, PressStyle } from '@/api/types'
import CountField from '@/components/controls/CountField.vue'
import FractionText from '@/drawing/FractionText.vue'
import { useStationKeys } from '@/composables/useStationKeys'
import { styleWords } from '@/drawing/words'

/** What may be done about lumps, each change with its before and after and one key to take it. */
const props = defineProps<{ block: number; plan: string; style: PressStyle; proposal: { style: PressStyle; words: string }; opened: OpenedTold; lookAlikes: string[]; isBusy: boolean }>()
const emit = defineEmits<{ lock: [locks: LockAsked[]]; piles: [labels: string[]]; school: [style: PressStyle]; lump: [plies: number]; look: [at: Place]; point: [joins: number[]] }>()

const advice = shallowRef<AdviceShown | null>(null)

watch(
  () => [props.block, props.plan] as const,
  async ([block, plan]) => {
    advice.value = null
    const answer = await api.pressAdvice(block).catch(() => null)
    if (props.block === block && props.plan === plan) advice.value = answer
  },
  { immediate: true },
)

interface Choice {
  locks: LockAsked[]
  twoPiles: string[] | null
}

/** Everything that can be taken, in the order it stands there: the first nine have a key. */
const all = (): Choice[] => {
  const shown = advice.value
  return shown === null ? [] : [...shown.crossings.flatMap((crossing) => crossing.cures), ...shown.wings.flatMap((wings) => wings.options.map((option) => ({ locks: option.locks, twoPiles: null })))]
}
const keyOf = (choice: Choice | { locks: LockAsked[] }) => all().findIndex((one) => one.locks === choice.locks) + 1

function take(choice: Choice) {
  if (props.isBusy) return
  if (choice.twoPiles) emit('piles', choice.twoPiles)
  else emit('lock', choice.locks)
}

useStationKeys(
  () =>
    all()
      .slice(0, 9)
      .map((choice, i) => ({ key: String(i + 1), words: 'take the advice', act: () => take(choice) })),
  '.advice',
)
</script>

<template>
  <section class="advice side-panel" aria-label="Advice">
    <h2>The school for this block</h2>
    <p>{{ proposal.words }}</p>
    <button v-if="proposal.style !== style" type="button" class="take pick-card" :disabled="isBusy" @click="emit('school', proposal.style)">Press it {{ proposal.style === 'mixed' ? 'by the lump' : `in school ${styleWords[proposal.style]}` }}</button>
    <h2>Lumps</h2>
    <p class="limit">More than <CountField :model-value="advice?.lump ?? 10" label="Layers that are not a lump yet" hides-label :max="100" @update:model-value="emit('lump', $event)" /> layers are a lump.</p>
    <p v-if="advice === null" class="soft" role="status">Trying what would flatten it</p>
    <p v-else-if="advice.crossings.length === 0" class="soft">No crossing lies thicker than that.</p>
    <div v-for="crossing in advice?.crossings" :key="crossing.text.join()" class="lump" :data-lump="crossing.text.join(' ')">
      <h3>
        <button type="button" class="link-button" @click="emit('look', crossing.at)"><span>Crossing at <FractionText :text="crossing.text.join(', ')" /></span></button>: {{ crossing.peak }} layers, {{ crossing.patches }} patches
      </h3>
      <p v-if="crossing.cures.length === 0" class="soft">No small change makes it flatter.</p>
      <button v-for="cure in crossing.cures" :key="cure.words" type="button" class="take pick-card" :disabled="isBusy" @mouseenter="emit('point', cure.locks.map((lock) => lock.join))" @mouseleave="emit('point', [])" @focus="emit('point', cure.locks.map((lock) => lock.join))" @blur="emit('point', [])" @click="take(cure)">
        <kbd v-if="keyOf(cure) < 10">{{ keyOf(cure) }}</kbd>
        <span><b>{{ cure.words }}.</b> {{ crossing.peak }} layers become {{ cure.after }}; {{ cure.costs }}.<template v-if="cure.warning"> {{ cure.warning }}</template></span>
      </button>
    </div>
    <div v-for="wings in advice?.wings" :key="wings.words" class="lump">
      <p>{{ wings.words }}</p>
      <button v-for="option in wings.options" :key="option.words" type="button" class="take pick-card" :disabled="isBusy" @click="take({ locks: option.locks, twoPiles: null })">
        <kbd v-if="keyOf(option) < 10">{{ keyOf(option) }}</kbd>
        <span><b>{{ option.words }}</b>: {{ option.costs }}</span>
      </button>
    </div>
    <template v-if="advice?.habit">
      <h2>Why not as most press it</h2>
      <p>{{ advice.habit }}</p>
    </template>
    <h2>Its size</h2>
    <p v-for="words in opened.words" :key="words">{{ words }}</p>
    <button v-if="opened.short.length + opened.near.length > 0" type="button" class="link-button" @click="emit('point', [...new Set([...opened.short, ...opened.near.flat()])])">Show these seams</button>
    <template v-if="lookAlikes.length > 0">
      <h2>Look-alikes</h2>
      <p v-for="words in lookAlikes" :key="words">{{ words }}</p>
    </template>
  </section>
</template>

<style scoped>
h3 {
  padding-top: 8px;
  font-size: 16px;
  font-weight: 600;
}

.take {
  display: flex;
  gap: 10px;
  align-items: start;
  width: 100%;
  min-height: 44px;
  margin-top: 8px;
  padding: 8px 12px;
}
</style>
