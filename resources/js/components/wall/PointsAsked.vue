<script setup lang="ts">
import { computed } from 'vue'
import type { WallPlace, WallShown } from '@/api/types'
import { boxRound, pointsText } from '@/drawing/geometry'

/** A whole set that points in, or out: both pictures of the block, to be chosen from. */
const props = defineProps<{ wall: WallShown; ask: WallShown['asks'][number] }>()
const emit = defineEmits<{ meant: [places: WallPlace[]]; turn: [places: WallPlace[]] }>()

const fills = computed(() => new Map(props.wall.face.fabrics.map((fabric) => [fabric.key, fabric.color])))
const asked = computed(() => new Set(props.ask.places.map(String)))

/** The block with the set lying the other way round. */
const turned = computed(() => {
  const flipped = new Map<number, [number, number]>()
  for (const cell of props.wall.cells.filter((one) => asked.value.has(String([one.row, one.column])))) {
    const patches = props.wall.face.patches.filter((patch) => cell.patches.includes(patch.id))
    const box = boxRound(patches.flatMap((patch) => patch.points))
    patches.forEach((patch) => flipped.set(patch.id, [2 * box.left + box.width, 2 * box.top + box.height]))
  }
  return props.wall.face.patches.map((patch) => {
    const about = flipped.get(patch.id)
    return about === undefined ? patch : { ...patch, points: patch.points.map(([x, y]): [number, number] => [about[0] - x, about[1] - y]) }
  })
})
const pictures = computed(() => [
  { key: 'now', isOut: props.ask.isOut, patches: props.wall.face.patches },
  { key: 'turned', isOut: !props.ask.isOut, patches: turned.value },
])
</script>

<template>
  <div class="points-asked" role="group" aria-label="Points out or in?">
    <p>{{ ask.words }}</p>
    <div class="pair">
      <button v-for="one in pictures" :key="one.key" type="button" @click="one.key === 'now' ? emit('meant', ask.places) : emit('turn', ask.places)">
        <svg :viewBox="`0 0 ${wall.face.width} ${wall.face.height}`" aria-hidden="true"><polygon v-for="patch in one.patches" :key="patch.id" :points="pointsText(patch.points)" :fill="fills.get(patch.fabric)" /></svg>
        <span>{{ one.isOut ? 'points out' : 'points in' }}{{ one.key === 'now' ? ', as now' : '' }}</span>
      </button>
    </div>
  </div>
</template>

<style scoped>
.points-asked {
  padding-left: 12px;
  border-left: 4px solid var(--thread-rest);
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  padding-top: 8px;
}

button {
  display: grid;
  gap: 4px;
  justify-items: center;
  padding: 8px;
  border: 1px solid var(--hair);
  border-radius: 6px;
  background: var(--paper);
  font-size: 15px;
  cursor: pointer;
}

button:hover {
  background: var(--thread-pale);
}

svg {
  width: 96px;
  max-width: 100%;
}
</style>
