<script setup lang="ts">
import { ref } from 'vue'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/select/style/css'

/** The quilter's own words for a thing on the shelf: chosen from those she uses, or new ones. */
const props = defineProps<{ name: string; tags: string[]; used: string[]; keep: (tags: string[]) => Promise<string[]> }>()
const emit = defineEmits<{ kept: [tags: string[]] }>()
const problem = ref('')

async function change(tags: string[]) {
  problem.value = ''
  try {
    emit('kept', await props.keep(tags))
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  }
}
</script>

<template>
  <div class="tags-field">
    <ElSelect :model-value="tags" multiple filterable allow-create default-first-option :reserve-keyword="false" :aria-label="`Tags of ${name}`" placeholder="Write a tag, then Enter" no-data-text="No tags yet: write one, then Enter" @update:model-value="change">
      <ElOption v-for="tag in used" :key="tag" :value="tag" :label="tag" />
    </ElSelect>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.tags-field {
  padding: 6px 0;
}

.wrong {
  color: var(--brick);
}
</style>
