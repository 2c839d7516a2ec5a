<script setup lang="ts">
import { ref, watch } from 'vue'
import { RouterLink, useRoute, useRouter } from 'vue-router'
import FilePreview from '@/components/along/FilePreview.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { fileIn } from '@/drawing/along'

/** A block or a top that came in a link: to be looked at, and kept if one wants it. */
const route = useRoute()
const router = useRouter()
const text = ref<string | null>(null)
const isBroken = ref(false)

watch(
  () => route.hash,
  async (hash) => {
    text.value = await fileIn(hash)
    isBroken.value = text.value === null
  },
  { immediate: true },
)
useScreenTitle(() => 'Shared with you')

const kept = ({ kind, id }: { kind: 'block' | 'top'; id: number }) => router.push(kind === 'block' ? { name: 'wall', params: { block: id } } : { name: 'top', params: { top: id } })
</script>

<template>
  <main class="shared">
    <RouterLink class="back" :to="{ name: 'shelf' }">Shelf</RouterLink>
    <h1>Shared with you</h1>
    <p v-if="isBroken" class="warn" role="alert">This link is not whole. Ask for it again, or for the file.</p>
    <FilePreview v-if="text" data-work :text="text" @kept="kept" @leave="router.push({ name: 'shelf' })" />
  </main>
</template>

<style scoped>
.shared {
  padding: 28px 40px 40px;
}

@media (max-width: 560px) {
  .shared {
    padding: 16px;
  }
}
</style>
