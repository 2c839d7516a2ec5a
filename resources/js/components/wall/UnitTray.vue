<script setup lang="ts">
import type { TrayKind, WallFabric } from '@/api/types'
import UnitIcon from '@/drawing/UnitIcon.vue'

/** The kinds of unit, each drawn in the fabrics it would be placed in. */
const props = defineProps<{ kinds: TrayKind[]; figure: WallFabric; ground: WallFabric; second: WallFabric; isSeveral: boolean; isAsOne: boolean }>()
const emit = defineEmits<{ place: [kind: string, asOne: boolean]; asOne: [] }>()

const color = { f: () => props.figure.color, g: () => props.ground.color, s: () => props.second.color }
</script>

<template>
  <section class="unit-tray" aria-label="Units to place">
    <button v-for="(kind, i) in kinds" :key="kind.kind" v-tip="i < 10 ? `${kind.name} (${(i + 1) % 10}; with Shift, one over all chosen places)` : kind.name" type="button" :data-kind="kind.kind" @click="emit('place', kind.kind, $event.shiftKey)">
      <UnitIcon :ratio="kind.ratio" :patches="kind.patches.map((patch) => ({ color: color[patch.role](), points: patch.points }))" />
      <span class="visually-hidden">Place {{ kind.name }}</span>
      <span v-if="i < 10" class="digit" aria-hidden="true">{{ (i + 1) % 10 }}</span>
      <span v-else class="own" aria-hidden="true">{{ kind.name }}</span>
    </button>
    <button v-if="isSeveral" type="button" class="as-one" :aria-pressed="isAsOne" @click="emit('asOne')">As one over all chosen</button>
  </section>
</template>

<style scoped>
.unit-tray {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

button {
  position: relative;
  width: 66px;
  height: 54px;
  padding: 4px 18px 4px 4px;
  border: 0;
  border-radius: 6px;
  background: none;
  cursor: pointer;
}

button:hover {
  background: var(--thread-pale);
}

.own {
  position: absolute;
  right: 0;
  bottom: -4px;
  left: 0;
  overflow: hidden;
  color: var(--soft);
  font-size: 13px;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.as-one {
  width: auto;
  padding: 0 14px;
  border: 1px solid var(--hair);
}

.as-one[aria-pressed='true'] {
  background: var(--thread);
  color: #fff;
}

.digit {
  position: absolute;
  right: 2px;
  bottom: 2px;
  color: var(--soft);
  font-size: 14px;
}
</style>
