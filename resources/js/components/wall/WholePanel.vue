<script setup lang="ts">
import { RouterLink } from 'vue-router'
import type { WallShown } from '@/api/types'
import TradeWord from '@/components/TradeWord.vue'
import PointsAsked from '@/components/wall/PointsAsked.vue'
import FractionText from '@/drawing/FractionText.vue'
import { counted } from '@/drawing/words'
import { useWallStore } from '@/stores/wall'

/** The block as a whole: its symmetry, its hands, what it comes to, and the picture it is to match. */
defineProps<{
  wall: WallShown
  /** Said of copies before they are made. */
  otherHand: string
  isTwiceShown: boolean
}>()

const emit = defineEmits<{ drawWhole: []; showTwice: [] }>()

const store = useWallStore()
</script>

<template>
  <section class="whole" aria-label="The whole block">
    <p v-if="otherHand" class="warn">{{ otherHand }}</p>
    <p v-for="one in wall.says" :key="one.text" :class="{ warn: one.wants === 'work' }"><FractionText :text="one.text" /></p>
    <PointsAsked v-for="ask in wall.asks" :key="ask.words" :wall="wall" :ask="ask" @meant="store.meantAt" @turn="(places) => store.edit({ do: 'move', places, turn: 180, mirrored: false })" />
    <button v-if="store.oddOnes.length > 0" type="button" class="link-button" @click="store.mend">Go to the next odd one</button>
    <button v-if="store.oddOnes.filter((cell) => cell.odd?.mend).length > 1" type="button" class="link-button" @click="store.mendAll">Mend all</button>
    <p v-if="store.figures?.lookTwiceSays">{{ store.figures.lookTwiceSays }} <button v-tip="'Key: L'" type="button" class="link-button" :aria-pressed="isTwiceShown" @click="emit('showTwice')">{{ isTwiceShown ? 'Hide their marks' : 'Mark them' }}</button></p>
    <ul v-if="wall.hands.length > 0" class="hands">
      <li v-for="hands in wall.hands" :key="hands.class"><b>{{ hands.left }}</b> left, <b>{{ hands.right }}</b> right {{ hands.plural }}</li>
    </ul>
    <button v-if="store.path === ''" type="button" class="link-button" @click="emit('drawWhole')">Draw the whole block as one unit</button>
  </section>
  <dl v-if="store.figures" class="figures" :class="{ stale: store.figures.version !== wall.block.version }">
    <div><dt>patches</dt><dd>{{ store.figures.patches }}</dd></div>
    <div><dt><TradeWord of="match">points to match</TradeWord></dt><dd>{{ store.figures.figures.matches }}</dd></div>
    <div><dt><TradeWord of="layers">layers at the thickest</TradeWord></dt><dd>{{ store.figures.figures.thickest }}</dd></div>
    <div v-for="kind in store.figures.units" :key="kind.class"><dt>{{ kind.name }} <span v-if="kind.tag || kind.hand" class="soft">({{ [kind.tag, kind.hand].filter(Boolean).join(', ') }})</span></dt><dd>{{ kind.count }}</dd></div>
  </dl>
  <p v-else-if="store.figuresProblem" class="soft">{{ store.figuresProblem }}</p>
  <p class="photograph">Laid out on the table? <RouterLink class="link-button" :to="{ name: 'photo', params: { block: wall.block.id } }">Photograph it</RouterLink>, and see whether it is right.</p>
  <section class="match" aria-label="Picture to match">
    <p v-if="wall.wholeDifference" class="warn">{{ wall.wholeDifference }}</p>
    <button type="button" class="link-button" @click="store.freeze">{{ wall.hasPicture ? 'Take this as the new picture to match' : 'Freeze this as the picture to match' }}</button>
    <template v-if="wall.hasPicture">
      <p>{{ counted(wall.cells.filter((cell) => cell.different).length, 'unit is', 'units are') }} not as in the picture.</p>
      <button type="button" class="link-button" @click="store.dropPicture">Drop the picture</button>
    </template>
  </section>
</template>

<style scoped>
.whole {
  display: grid;
  gap: 8px;
}

.warn {
  padding-left: 12px;
  border-left: 4px solid var(--ochre);
  font-size: 15px;
}

.figures div {
  display: flex;
  flex-direction: row-reverse;
  justify-content: flex-end;
  gap: 10px;
}

.figures dd {
  min-width: 34px;
  font-weight: 650;
  font-variant-numeric: tabular-nums;
  text-align: right;
}

.figures.stale {
  opacity: 0.55;
}
</style>
