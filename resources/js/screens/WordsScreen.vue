<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import { ElInput } from 'element-plus/es/components/input/index'
import 'element-plus/es/components/input/style/css'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { wordsFor } from '@/drawing/glossary'
import WordDrawing from '@/drawing/WordDrawing.vue'

/** Every word of the trade that the screens use, on one page. */
const look = ref('')
const found = computed(() => wordsFor(look.value))
const route = useRoute()
useScreenTitle(() => 'Words')
onMounted(async () => {
  await nextTick()
  if (route.hash !== '') document.getElementById(route.hash.slice(1))?.scrollIntoView({ block: 'center' })
})
</script>

<template>
  <main class="words">
    <header>
      <div>
        <RouterLink class="wordmark" :to="{ name: 'shelf' }">Keen Seam</RouterLink>
        <h1>Words</h1>
      </div>
      <nav aria-label="Words">
        <RouterLink class="link-button" :to="{ name: 'shelf' }">Shelf</RouterLink>
        <SettingsButton />
      </nav>
    </header>
    <search data-work>
      <ElInput v-model="look" class="look" clearable aria-label="Look for a word" placeholder="Look for a word" @keydown.esc="look = ''" />
      <p class="soft" role="status">{{ found.length === 1 ? '1 word' : `${found.length} words` }}</p>
    </search>
    <p v-if="found.length === 0">No word here is called so, or speaks of it.</p>
    <dl>
      <div v-for="[key, one] in found" :id="key" :key="key" :class="{ meant: route.hash === `#${key}` }">
        <dt>{{ one.word }}</dt>
        <dd><WordDrawing v-if="one.drawing" :of="one.drawing" /></dd>
        <dd>{{ one.means }}<span v-if="one.also.length > 0" class="soft also">Also: {{ one.also.join(', ') }}.</span></dd>
      </div>
    </dl>
  </main>
</template>

<style scoped>
.words {
  max-width: 1100px;
  padding: 28px 40px 40px;
}

header,
nav,
search {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 24px;
}

header {
  justify-content: space-between;
}

.wordmark {
  display: inline-block;
  min-height: 24px;
  font-weight: 700;
  color: var(--thread);
  text-decoration: none;
}

h1 {
  font-size: 32px;
}

search {
  padding: 16px 0;
}

.look {
  flex: 1 1 240px;
  max-width: 400px;
}

dl > div {
  display: grid;
  grid-template-columns: 200px 110px minmax(0, 1fr);
  gap: 4px 20px;
  align-items: start;
  padding: 14px 8px;
  border-top: 1px solid var(--hair);
  font-size: 17px;
}

.meant {
  background: var(--thread-pale);
}

dt {
  font-weight: 650;
}

.also {
  display: block;
  padding-top: 4px;
  font-size: 15px;
}

@media (max-width: 700px) {
  .words {
    padding: 16px 16px 32px;
  }

  dl > div {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
