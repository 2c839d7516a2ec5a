<script setup lang="ts">
import { computed, onMounted, ref, type Ref } from 'vue'
import { RouterLink, useRouter } from 'vue-router'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import { everythingAddress, fileAddress, tagTop } from '@/api/client'
import TakeAlongButton from '@/components/along/TakeAlongButton.vue'
import FilePreview from '@/components/along/FilePreview.vue'
import NewBlock from '@/components/NewBlock.vue'
import NewTop from '@/components/NewTop.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import StationHints from '@/components/StationHints.vue'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import BlockCard from '@/components/shelf/BlockCard.vue'
import FindOnShelf from '@/components/shelf/FindOnShelf.vue'
import TagsField from '@/components/shelf/TagsField.vue'
import { useKept } from '@/composables/useKept'
import { useScreenTitle } from '@/composables/useScreenTitle'
import { chosenFiles, droppedFiles, type Brought } from '@/drawing/filesIn'
import TopFace from '@/drawing/TopFace.vue'
import { ago, found, sorted, tagsOf, type Sorting } from '@/drawing/shelf'
import { counted } from '@/drawing/words'
import { useShelfStore } from '@/stores/shelf'

const shelf = useShelfStore()
const picker = ref<HTMLInputElement | null>(null)
const isOver = ref(false)
const folderPicker = ref<HTMLInputElement | null>(null)
const arrived = ref<Awaited<ReturnType<typeof shelf.bringIn>> | null>(null)
const isBeginning = ref(false)
const isBeginningTop = ref(false)
/** The top whose tags are being written. */
const tagging = ref<number | null>(null)
const look = ref('')
const tags = ref<string[]>([])
const sorting = useKept('shelf-sorting', 'name') as Ref<Sorting>
const now = Date.now()

const allBlocks = computed(() =>
  shelf.blocks.map((thing) => ({ thing, name: thing.name, tags: thing.tags, touched: thing.touched, words: [...thing.fabrics, thing.finished.join(' x '), thing.unit], area: thing.width * thing.height, progress: thing.stepsInAll ? thing.stepsDone / thing.stepsInAll : 0 })),
)
const allTops = computed(() => shelf.tops.map((thing) => ({ thing, name: thing.name, tags: thing.tags, touched: thing.touched, words: ['top', ...thing.picture.fabrics.map((fabric) => fabric.name)], area: thing.places, progress: 0 })))
const all = computed(() => [...allBlocks.value, ...allTops.value])
const tagsInUse = computed(() => tagsOf(all.value))
const blocks = computed(() => sorted(found(allBlocks.value, look.value, tags.value), sorting.value))
const tops = computed(() => sorted(found(allTops.value, look.value, tags.value), sorting.value))
const router = useRouter()

onMounted(shelf.load)

async function bringIn(brought: Brought[]) {
  isOver.value = false
  arrived.value = null
  if (brought.length === 0) return
  arrived.value = await shelf.bringIn(brought)
  for (const one of [picker, folderPicker]) if (one.value) one.value.value = ''
}
const cameWords = computed(() => {
  const { came, leftAlone } = arrived.value ?? { came: [], leftAlone: 0 }
  const words = came.length > 3 ? [`${came.length} files came in.`] : came
  return [...words, ...(leftAlone > 0 ? [`${counted(leftAlone, 'other file')} in the folder ${leftAlone === 1 ? 'was' : 'were'} left alone.`] : [])].join(' ')
})

async function keptDrawing(what: { kind: 'block' | 'top'; id: number }) {
  shelf.drawings.shift()
  if (shelf.drawings.length === 0 && what.kind === 'block') await router.push({ name: 'wall', params: { block: what.id } })
  else await shelf.load()
}
useScreenTitle(() => 'On the shelf')
</script>

<template>
  <main class="shelf" :class="{ over: isOver }" @dragover.prevent="isOver = true" @dragleave.self="isOver = false" @drop.prevent="droppedFiles($event.dataTransfer).then(bringIn)">
    <header>
      <div>
        <p class="wordmark">Keen Seam</p>
        <h1>On the shelf</h1>
      </div>
      <div class="bring-in">
        <SettingsButton />
        <RouterLink class="link-button" :to="{ name: 'words' }">Words</RouterLink>
        <RouterLink class="link-button" :to="{ name: 'logbook' }">Logbook</RouterLink>
        <span class="soft">Drop files or folders here, or</span>
        <ElButton @click="picker?.click()">Choose files</ElButton>
        <ElButton v-tip="'Every block, top and drawing in it'" @click="folderPicker?.click()">A folder</ElButton>
        <ElButton :aria-expanded="isBeginningTop" :disabled="shelf.blocks.length === 0" @click="((isBeginningTop = !isBeginningTop), (isBeginning = false))">New top</ElButton>
        <ElButton type="primary" :aria-expanded="isBeginning" @click="((isBeginning = !isBeginning), (isBeginningTop = false))">New block</ElButton>
        <input ref="picker" class="visually-hidden" type="file" multiple accept=".json,application/json,.svg,image/svg+xml" aria-label="Block and top files, drawings" tabindex="-1" @change="bringIn(chosenFiles(picker?.files))" />
        <input ref="folderPicker" class="visually-hidden" type="file" webkitdirectory aria-label="Folder of files" tabindex="-1" @change="bringIn(chosenFiles(folderPicker?.files))" />
      </div>
    </header>

    <NewBlock v-if="isBeginning" @keydown.esc="isBeginning = false" @made="router.push({ name: 'wall', params: { block: $event.id } })" @problem="shelf.problem = $event" />
    <NewTop v-if="isBeginningTop" :blocks="shelf.blocks" @keydown.esc="isBeginningTop = false" @made="router.push({ name: 'top', params: { top: $event.id } })" />
    <ProblemNote v-if="shelf.problem" :text="shelf.problem" @close="shelf.problem = null" />
    <p v-if="cameWords" class="arrived" role="status">{{ cameWords }}</p>
    <section v-if="arrived && arrived.refused.length > 0" class="refused" role="alert" aria-labelledby="refused">
      <h2 id="refused">{{ arrived.refused.length === 1 ? 'This file was not taken' : `${arrived.refused.length} files were not taken` }}</h2>
      <ul>
        <li v-for="one in arrived.refused" :key="one.path"><b>{{ one.path }}:</b> {{ one.why }}</li>
      </ul>
      <ElButton @click="arrived = null">Close</ElButton>
    </section>
    <FilePreview v-if="shelf.drawings[0]" :text="shelf.drawings[0].text" :drawing="shelf.drawings[0].name" @kept="keptDrawing" @leave="shelf.drawings.shift()" />
    <div v-if="shelf.justTaken" class="taken" role="status">
      <span>“{{ shelf.justTaken.name }}” is off the shelf.</span>
      <ElButton @click="shelf.putBack(shelf.justTaken)">Put it back</ElButton>
    </div>
    <div v-if="shelf.topJustTaken" class="taken" role="status">
      <span>The top “{{ shelf.topJustTaken.name }}” is off the shelf.</span>
      <ElButton @click="shelf.putTopBack(shelf.topJustTaken)">Put it back</ElButton>
    </div>

    <section v-if="shelf.unopened.length > 0" class="unopened" aria-labelledby="unopened">
      <h2 id="unopened">{{ shelf.unopened.length === 1 ? 'This block cannot be opened' : 'These blocks cannot be opened' }}</h2>
      <ul>
        <li v-for="block in shelf.unopened" :key="block.id">
          <p><b>{{ block.name }}:</b> {{ block.problem }}</p>
          <div class="deeds">
            <a class="link-button" :href="fileAddress(block.id)" download :aria-label="`Keep ${block.name} as a file`">Keep as a file</a>
            <button type="button" class="link-button" :aria-label="`Take ${block.name} off`" @click="shelf.takeOff(block)">Take off</button>
          </div>
        </li>
      </ul>
    </section>

    <StationHints at="shelf" />
    <FindOnShelf v-if="all.length > 1" v-model:look="look" v-model:tags="tags" v-model:sorting="sorting" :tags-in-use="tagsInUse" :shown="blocks.length + tops.length" :all="all.length" />
    <p v-if="all.length > 0 && blocks.length + tops.length === 0" class="nothing">Nothing on the shelf is called so. <button type="button" class="link-button" @click="((look = ''), (tags = []))">Show everything</button></p>
    <ul v-if="shelf.blocks.length > 0" class="blocks" data-work>
      <BlockCard
        v-for="{ thing } in blocks"
        :key="thing.id"
        :block="thing"
        :tags-in-use="tagsInUse"
        :now="now"
        @take-off="shelf.takeOff(thing)"
        @tagged="thing.tags = $event"
        @copied="router.push({ name: 'wall', params: { block: $event.id } })"
      />
    </ul>
    <div v-else-if="shelf.isLoaded && shelf.unopened.length === 0" class="empty">
      <h2>The shelf is empty</h2>
      <p>Blocks stand here. Begin a new one, or choose a block file, <code>*.keenseam.json</code>. A drawing in SVG becomes a block too.</p>
      <p><ElButton type="primary" size="large" @click="isBeginning = true">Begin a block</ElButton></p>
    </div>

    <p v-if="shelf.isLoaded && shelf.blocks.length > 0 && shelf.tops.length === 0" class="no-tops soft">No tops yet: a top is blocks of the shelf sewn together. <button type="button" class="link-button" @click="isBeginningTop = true">Begin a top</button></p>
    <template v-if="tops.length > 0">
      <h2 class="kind">Tops</h2>
      <ul class="tops">
        <li v-for="{ thing: top } in tops" :key="top.id">
          <RouterLink class="open" :to="{ name: 'top', params: { top: top.id } }" :aria-label="`Open the top ${top.name}`">
            <TopFace :picture="top.picture" :label="`${top.name} as it hangs`" />
          </RouterLink>
          <div class="caption">
            <h3>{{ top.name }}</h3>
            <p class="soft">{{ counted(top.places, 'place') }}, {{ top.picture.isOnPoint ? 'on point' : 'straight' }}, touched {{ ago(top.touched, now) }}</p>
            <ul v-if="top.tags.length > 0" class="tags" :aria-label="`Tags of ${top.name}`">
              <li v-for="tag in top.tags" :key="tag">{{ tag }}</li>
            </ul>
          </div>
          <div class="deeds">
            <TakeAlongButton look="link" :thing="{ kind: 'tops', id: top.id, name: top.name }" :aria-label="`Take along: ${top.name}`" />
            <button type="button" class="link-button" :aria-expanded="tagging === top.id" :aria-label="`Tags of ${top.name}`" @click="tagging = tagging === top.id ? null : top.id">Tags</button>
            <button type="button" class="link-button" :aria-label="`Take off ${top.name}`" @click="shelf.takeTopOff(top)">Take off</button>
          </div>
          <TagsField v-if="tagging === top.id" :name="top.name" :tags="top.tags" :used="tagsInUse" :keep="(words) => tagTop(top.id, words)" @kept="top.tags = $event" />
        </li>
      </ul>
    </template>
    <details v-if="shelf.topsTakenOff.length > 0" class="off">
      <summary>Taken off the shelf: {{ counted(shelf.topsTakenOff.length, 'top') }}</summary>
      <ul>
        <li v-for="top in shelf.topsTakenOff" :key="top.id">
          <span>{{ top.name }}</span>
          <button type="button" class="link-button" :aria-label="`Put back ${top.name}`" @click="shelf.putTopBack(top)">Put back</button>
        </li>
      </ul>
    </details>
    <details v-if="shelf.takenOff.length > 0" class="off">
      <summary>Taken off the shelf: {{ counted(shelf.takenOff.length, 'block') }}</summary>
      <ul>
        <li v-for="block in shelf.takenOff" :key="block.id">
          <span>{{ block.name }}</span>
          <button type="button" class="link-button" :aria-label="`Put ${block.name} back`" @click="shelf.putBack(block)">Put back</button>
        </li>
      </ul>
    </details>

    <footer v-if="shelf.isLoaded">
      <a class="link-button" :href="everythingAddress" download>Keep everything</a>
      <span class="soft">All blocks, pictures and the logbook as one file. Choose that file above to bring it all back.</span>
    </footer>
  </main>
</template>

<style scoped>
.shelf {
  min-height: 100%;
  padding: 28px 40px 40px;
}

.shelf.over {
  outline: 4px dashed var(--thread);
  outline-offset: -12px;
}

header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: flex-end;
  gap: 16px;
  padding-bottom: 20px;
}

.wordmark {
  font-weight: 700;
  color: var(--thread);
}

h1 {
  font-size: 32px;
}

.bring-in {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 16px;
}

.arrived,
.taken {
  display: flex;
  align-items: center;
  gap: 16px;
  min-height: 52px;
  font-size: 17px;
}

.refused {
  margin: 8px 0 16px;
  padding: 10px 16px;
  border-left: 4px solid var(--brick);
  background: var(--paper);
}

.refused h2 {
  font-size: 18px;
}

.refused li {
  padding: 6px 0;
}

.blocks,
.tops {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(300px, 100%), 1fr));
  gap: 36px 44px;
  padding-top: 16px;
}

.tops > li {
  display: grid;
  align-content: start;
  gap: 4px;
}

.shelf :deep(.open) {
  display: block;
  aspect-ratio: 1;
  padding: 14px;
  background: var(--paper);
  border: 1px solid var(--hair);
}

.shelf :deep(.open:hover) {
  border-color: var(--thread);
}

.kind {
  padding-top: 44px;
  font-size: 24px;
}

.shelf :deep(.open img) {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: contain;
}

.station-hint {
  margin-bottom: 12px;
}

.bring-in .el-button {
  margin: 0;
}

.shelf :deep(.tags) {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  padding-top: 4px;
}

.shelf :deep(.tags li) {
  padding: 0 10px;
  border: 1px solid var(--thread-rest);
  border-radius: 12px;
  font-size: 15px;
}

.shelf :deep(.caption) {
  padding-top: 10px;
}

.no-tops {
  padding-top: 40px;
  font-size: 17px;
}

.nothing {
  padding: 24px 0;
  font-size: 17px;
}

h3 {
  font-size: 21px;
}

.shelf :deep(.caption p) {
  font-size: 17px;
}

.shelf :deep(.deeds) {
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
}

.unopened {
  margin: 12px 0;
  padding: 16px 20px;
  background: var(--paper);
  border-left: 6px solid var(--brick);
}

.unopened li {
  padding-top: 10px;
  font-size: 17px;
}

.off {
  padding-top: 40px;
  font-size: 17px;
}

.off summary {
  min-height: 44px;
  cursor: pointer;
}

.off li {
  display: flex;
  align-items: center;
  gap: 24px;
}

footer {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 16px;
  margin-top: 48px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}

.empty {
  padding: 80px 0;
  text-align: center;
}

@media (max-width: 900px) {
  .shelf {
    padding: 20px;
  }
}

@media (max-width: 700px) {
  .shelf {
    padding: 16px 16px 32px;
  }
}
</style>
