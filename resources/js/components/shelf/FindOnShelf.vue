<script setup lang="ts">
import { ElInput } from 'element-plus/es/components/input/index'
import { ElOption, ElSelect } from 'element-plus/es/components/select/index'
import 'element-plus/es/components/input/style/css'
import 'element-plus/es/components/select/style/css'
import { sortings, type Sorting } from '@/drawing/shelf'

/** What of a full shelf is shown, and in which order. */
defineProps<{ tagsInUse: string[]; shown: number; all: number }>()
const look = defineModel<string>('look', { required: true })
const tags = defineModel<string[]>('tags', { required: true })
const sorting = defineModel<Sorting>('sorting', { required: true })
</script>

<template>
  <search class="find" aria-label="Find on the shelf">
    <ElInput v-model="look" class="look" clearable aria-label="Look for" placeholder="Name, fabric, size or tag" @keydown.esc="look = ''" />
    <ElSelect v-if="tagsInUse.length > 0" v-model="tags" class="with-tags" multiple collapse-tags clearable filterable aria-label="With these tags" placeholder="All tags">
      <ElOption v-for="tag in tagsInUse" :key="tag" :value="tag" :label="tag" />
    </ElSelect>
    <ElSelect v-model="sorting" class="sorting" aria-label="In which order">
      <ElOption v-for="(words, key) in sortings" :key="key" :value="key" :label="words" />
    </ElSelect>
    <p class="soft" role="status">{{ shown === all ? `${all} in all` : `${shown} of ${all}` }}</p>
  </search>
</template>

<style scoped>
.find {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  padding: 4px 0 8px;
}

.look {
  flex: 1 1 220px;
  max-width: 360px;
}

.with-tags,
.sorting {
  width: 210px;
}
</style>
