<script setup lang="ts">
import type { FollowShown } from '@/api/types'
import ChoiceField from '@/components/controls/ChoiceField.vue'
import CheckField from '@/components/controls/CheckField.vue'
import StationHints from '@/components/StationHints.vue'
import FractionText from '@/drawing/FractionText.vue'
import { useWallStore } from '@/stores/wall'

defineProps<{ follows: FollowShown[] }>()
defineEmits<{ keys: [] }>()
const isGrey = defineModel<boolean>('isGrey', { required: true })

const wall = useWallStore()
</script>

<template>
  <header v-if="wall.shown">
    <div>
      <h1>{{ wall.shown.block.name }}</h1>
      <p class="soft">
        <template v-if="wall.path !== ''">
          <button type="button" class="link-button" @click="wall.goOut">Back to the whole block</button>
          <CheckField v-if="wall.shown.alike > 1" v-model="wall.isAlone" class="alone">change this one only ({{ wall.shown.alike }} are alike)</CheckField>
        </template>
        <template v-else><FractionText :text="wall.shown.face.finished.join(' x ')" /> {{ wall.shown.face.units }} finished · {{ wall.shown.columns.length }} x {{ wall.shown.rows.length }}</template>
      </p>
    </div>
    <div class="follow"><span aria-hidden="true">Copies follow</span> <ChoiceField v-model="wall.follow" label="Copies follow" hides-label :choices="follows.map((one) => ({ value: one.name, words: one.words }))" /></div>
    <div class="tools">
      <button v-tip="wall.shown.history.undo ? `Undo: ${wall.shown.history.undo} (Ctrl Z)` : 'Nothing to undo'" type="button" :disabled="wall.shown.history.undo === null" @click="wall.undo">Undo</button>
      <button v-tip="wall.shown.history.redo ? `Do again: ${wall.shown.history.redo} (Ctrl Y)` : 'Nothing to do again'" type="button" :disabled="wall.shown.history.redo === null" @click="wall.redo">Redo</button>
      <button v-tip="'Grey view (G)'" type="button" :aria-pressed="isGrey" @click="isGrey = !isGrey">{{ isGrey ? 'Colour' : 'Grey' }}</button>
      <button v-tip="'The keys (?)'" type="button" @click="$emit('keys')">Keys</button>
    </div>
    <p class="saved soft" role="status">{{ wall.isUnsent ? 'Waiting to be saved' : wall.problem ? 'Not saved' : wall.isSaving ? 'Saving' : 'Saved' }}</p>
    <StationHints at="wall" />
  </header>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 12px 20px 6px 24px;
}

.alone {
  padding-left: 16px;
}

.follow {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-left: auto;
}

.tools {
  display: flex;
}

.tools button {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid var(--hair);
  background: var(--paper);
  cursor: pointer;
}

.tools button + button {
  border-left: 0;
}

.tools button:disabled {
  color: #6f7880;
  cursor: default;
}

.tools [aria-pressed='true'] {
  background: var(--thread);
  color: #fff;
}

.saved {
  min-width: 56px;
}

@media (max-width: 640px) {
  header {
    padding: 12px 16px 6px;
  }
}
</style>
