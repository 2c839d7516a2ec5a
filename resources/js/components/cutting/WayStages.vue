<script setup lang="ts">
import type { StageShown } from '@/api/types'
import FractionText from '@/drawing/FractionText.vue'
import StagePicture from '@/drawing/StagePicture.vue'

/** A way to make a unit, stage by stage: what lies on the table, and what is done. */
defineProps<{ stages: StageShown[]; colours: Map<string, string> }>()
</script>

<template>
  <ol class="way-stages">
    <li v-for="(stage, i) in stages" :key="i">
      <StagePicture v-if="stage.things.length > 0" :stage="stage" :colours="colours" />
      <span v-else />
      <FractionText :text="stage.words" />
    </li>
  </ol>
</template>

<style scoped>
.way-stages {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(270px, 100%), 1fr));
  gap: 8px 22px;
}

li {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 14px;
  align-items: center;
  min-height: 34px;
}
</style>
