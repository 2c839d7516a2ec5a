<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref, shallowRef } from 'vue'
import { RouterLink } from 'vue-router'
import { ElButton } from 'element-plus/es/components/button/index'
import 'element-plus/es/components/button/style/css'
import * as api from '@/api/client'
import type { PhotoShown } from '@/api/types'
import CheckField from '@/components/controls/CheckField.vue'
import PhotoPicture from '@/components/photo/PhotoPicture.vue'
import ProblemNote from '@/components/ProblemNote.vue'
import SettingsButton from '@/components/settings/SettingsButton.vue'
import { useScreenTitle } from '@/composables/useScreenTitle'
import BlockFace from '@/drawing/BlockFace.vue'
import { squareMatrix, unitMatrix } from '@/drawing/squared'
import { counted } from '@/drawing/words'

/** The block photographed as it is laid out, and compared with its drawing. */
const props = defineProps<{ block: number }>()

const shown = shallowRef<PhotoShown | null>(null)
const problem = ref<string | null>(null)
const isBusy = ref(false)
const isOver = ref(false)
const isGrey = ref(false)
const isSquare = ref(false)
const isMending = ref(false)
const corners = ref<number[][]>([])
const chosen = ref<string | null>(null)
const picker = ref<HTMLInputElement | null>(null)
const camera = ref<HTMLInputElement | null>(null)
useScreenTitle(() => (shown.value === null ? null : `Photograph, ${shown.value.block.name}`))

const key = (cell: { row: number; column: number }) => `${cell.row},${cell.column}`
const isGuessing = computed(() => shown.value?.lesson?.isOver === false)
const doubtful = computed(() => shown.value?.cells.filter((cell) => cell.verdict !== null && (cell.verdict !== 'as drawn' || key(cell) === chosen.value)) ?? [])
/** What is wrong before what is not sure, and what was put aside last. */
const listed = computed(() => [...doubtful.value].sort((a, b) => rank(a) - rank(b)))
const rank = (cell: PhotoShown['cells'][number]) => (key(cell) === chosen.value ? 0 : cell.isIgnored ? 4 : cell.verdict === 'unsure' ? 3 : 2)
const needsCorners = computed(() => shown.value?.picture != null && shown.value.problem !== null)

function take(answer: PhotoShown) {
  shown.value = answer
  chosen.value = null
  if (answer.lesson?.isOver === false) isSquare.value = false
  const picture = answer.picture
  isMending.value = picture !== null && answer.problem !== null
  corners.value = answer.corners ?? (picture === null ? [] : [[0.15, 0.15], [0.85, 0.15], [0.85, 0.85], [0.15, 0.85]].map(([x = 0, y = 0]) => [x * picture.width, y * picture.height]))
}

async function told(work: () => Promise<PhotoShown>, isKept = false) {
  problem.value = null
  isBusy.value = true
  try {
    const was = chosen.value
    take(await work())
    if (isKept) chosen.value = was
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error)
  } finally {
    isBusy.value = false
  }
}
onMounted(() => api.photo(props.block).then(take, (error: Error) => (problem.value = error.message)))

function bring(files: FileList | null | undefined) {
  isOver.value = false
  const file = [...(files ?? [])].find((one) => one.type.startsWith('image/')) ?? files?.[0]
  if (file) void told(() => api.takePhoto(props.block, file))
  for (const one of [picker, camera]) if (one.value) one.value.value = ''
}
const paste = (event: ClipboardEvent) => event.clipboardData && event.clipboardData.files.length > 0 && bring(event.clipboardData.files)
onMounted(() => window.addEventListener('paste', paste))
onUnmounted(() => window.removeEventListener('paste', paste))

function choose(cell: PhotoShown['cells'][number]) {
  if (isGuessing.value) void told(() => api.guessOnPhoto(props.block, cell.row, cell.column))
  else chosen.value = chosen.value === key(cell) ? null : key(cell)
}

/** The drawing is changed to what lies on the table; undo at the wall takes it back. */
const drawAsSeen = (cell: PhotoShown['cells'][number]) =>
  told(async () => {
    if (shown.value) await api.edit(props.block, shown.value.block.version, '', { do: 'lie', places: [[cell.row, cell.column]], turn: cell.turn, mirrored: cell.mirrored }, 'none', false)
    return api.photo(props.block)
  })

const isRight = computed(() => shown.value?.lesson?.planted.some((one) => one.row === shown.value?.lesson?.guess?.row && one.column === shown.value.lesson.guess.column) ?? false)
const ratio = computed(() => (shown.value === null ? 1 : shown.value.face.height / shown.value.face.width))
const shape = (cell: PhotoShown['cells'][number]) => {
  const points = shown.value?.face.patches.filter((patch) => cell.patches.includes(patch.id)).flatMap((patch) => patch.points) ?? []
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  const [width, height] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)]
  return width >= height ? { width: 128, height: (128 * height) / width } : { width: (128 * width) / height, height: 128 }
}
</script>

<template>
  <main class="photo-screen" :class="{ over: isOver }" @dragover.prevent="isOver = true" @dragleave.self="isOver = false" @drop.prevent="bring($event.dataTransfer?.files)">
    <header>
      <div>
        <RouterLink class="back" :to="{ name: 'wall', params: { block } }">{{ shown?.block.name ?? 'Wall' }}</RouterLink>
        <h1>Is it laid out right?</h1>
      </div>
      <div class="deeds" :data-work="shown?.picture ? undefined : ''">
        <ElButton type="primary" :disabled="isBusy" @click="camera?.click()">Take a picture</ElButton>
        <ElButton :disabled="isBusy" @click="picker?.click()">Choose one</ElButton>
        <ElButton :disabled="isBusy" @click="told(() => api.makeUpPhoto(block))">Try it with a made picture</ElButton>
        <SettingsButton />
        <input ref="camera" class="visually-hidden" type="file" accept="image/*" capture="environment" aria-label="Picture from the camera" tabindex="-1" @change="bring(camera?.files)" />
        <input ref="picker" class="visually-hidden" type="file" accept="image/jpeg,image/png,image/webp" aria-label="Picture of the block" tabindex="-1" @change="bring(picker?.files)" />
      </div>
    </header>
    <ProblemNote v-if="problem" :text="problem" @close="problem = null" />

    <div v-if="shown && shown.picture === null" class="empty">
      <BlockFace :face="shown.face" :label="`${shown.block.name} as it is drawn`" :pixels="220" />
      <div>
        <h2>Lay the block out, and photograph it</h2>
        <p>From above, with the table seen all round, on a table of one colour. Every unit is compared with the drawing: one that is turned, one of the other hand, another unit. Drop the picture here, paste it, or choose it above.</p>
        <p class="soft">It stays in this house, without where it was taken, and goes when the block goes off the shelf.</p>
        <p>No picture at hand? A made one shows this block with a surprise in it: look for it first, then the program tells.</p>
      </div>
    </div>

    <div v-else-if="shown && shown.picture" class="table">
      <section class="picture" aria-label="Photograph" data-work>
        <div v-if="isSquare && !isMending && shown.corners" class="square" :style="{ aspectRatio: `${1 / ratio}` }">
          <svg viewBox="0 0 1000 1000" preserveAspectRatio="none" role="img" :aria-label="`${shown.block.name}, as if photographed from straight above`">
            <foreignObject width="1000" height="1000">
              <img :src="shown.picture.address" alt="" :class="{ grey: isGrey }" :style="{ width: `${shown.picture.width}px`, height: `${shown.picture.height}px`, transform: squareMatrix(shown.corners, 1000, 1000) }" />
            </foreignObject>
          </svg>
        </div>
        <PhotoPicture v-else v-model:corners="corners" :photo="shown" :picture="shown.picture" :chosen="chosen" :is-grey="isGrey" :is-mending="isMending" @choose="choose" />
        <div class="under">
          <CheckField v-model="isGrey">in grey</CheckField>
          <CheckField v-if="shown.corners && !isMending && !isGuessing" v-model="isSquare">made square</CheckField>
          <ElButton v-if="!isMending" @click="((isMending = true), (isSquare = false))">Mend the corners</ElButton>
          <template v-else>
            <ElButton type="primary" :disabled="isBusy" @click="told(() => api.putCorners(block, corners))">These are the corners</ElButton>
            <ElButton v-if="!needsCorners" @click="((isMending = false), (corners = shown.corners ?? corners))">Leave them</ElButton>
          </template>
          <button type="button" class="link-button" :disabled="isBusy" @click="told(() => api.dropPhoto(block))">Remove the picture</button>
        </div>
      </section>
      <section class="told" aria-label="What the picture tells" aria-live="polite">
        <template v-if="isMending">
          <p v-if="shown.problem" class="warn">{{ shown.problem }}</p>
          <p>Drag each ring to a corner of the layout, at the raw edge. With the keyboard: Tab to a ring, arrow keys move it, with Shift farther.</p>
        </template>
        <template v-else-if="isGuessing">
          <h2>One unit lies wrong. Which?</h2>
          <p>Touch it on the picture, or go there with the arrow keys and press Enter. The drawing to compare:</p>
          <BlockFace :face="shown.face" :label="`${shown.block.name} as it is drawn`" :pixels="220" class="drawing" />
        </template>
        <template v-else>
          <h2 v-if="shown.lesson">{{ isRight ? 'You found it.' : 'It was another one, with the whole ring round it.' }}</h2>
          <p class="says" role="status">{{ shown.says }}</p>
          <ul v-if="listed.length > 0" class="doubtful">
            <li v-for="cell in listed" :key="key(cell)" :class="{ ignored: cell.isIgnored, chosen: key(cell) === chosen }" :data-at="key(cell)">
              <div class="pair">
                <figure>
                  <svg :width="shape(cell).width" :height="shape(cell).height" :viewBox="`0 0 ${shape(cell).width} ${shape(cell).height}`" role="img" :aria-label="`Row ${cell.row}, column ${cell.column} on the photograph`">
                    <image :href="shown.picture.address" :width="shown.picture.width" :height="shown.picture.height" :transform="unitMatrix(cell.corners, shape(cell).width, shape(cell).height)" />
                  </svg>
                  <figcaption>on the table</figcaption>
                </figure>
                <figure>
                  <BlockFace :face="shown.face" :patches="cell.patches" close-up :label="`Row ${cell.row}, column ${cell.column} as drawn`" :pixels="128" :style="{ width: `${shape(cell).width}px`, height: `${shape(cell).height}px` }" />
                  <figcaption>as drawn</figcaption>
                </figure>
              </div>
              <div class="words">
                <p><b>Row {{ cell.row }}, column {{ cell.column }}</b>, {{ cell.name }}: <b>{{ cell.isIgnored ? 'never mind' : cell.verdict }}</b></p>
                <p v-if="!cell.isIgnored">{{ cell.words }}</p>
                <div v-if="!shown.lesson && cell.verdict !== 'as drawn'" class="deeds">
                  <template v-if="!cell.isIgnored">
                    <button v-if="cell.verdict === 'turned' || cell.verdict === 'mirrored'" type="button" class="link-button" :disabled="isBusy" @click="drawAsSeen(cell)">It is right, the drawing is wrong</button>
                    <RouterLink v-else class="link-button" :to="{ name: 'wall', params: { block } }">Change the drawing at the wall</RouterLink>
                  </template>
                  <button type="button" class="link-button" :disabled="isBusy" @click="told(() => api.neverMind(block, cell.row, cell.column, !cell.isIgnored), true)">{{ cell.isIgnored ? 'Mind it again' : 'Never mind' }}</button>
                </div>
              </div>
            </li>
          </ul>
          <p v-for="sentence in shown.alike" :key="sentence" class="warn">{{ sentence }}</p>
          <p v-if="shown.lessons.taken > 0" class="soft">Of {{ counted(shown.lessons.taken, 'made picture') }} you found the surprise on {{ shown.lessons.yours }}, the program on {{ shown.lessons.program }}.</p>
        </template>
      </section>
    </div>
    <p v-else-if="!problem" class="soft" role="status">Fetching the picture</p>
    <p v-if="isBusy" class="soft" role="status">Looking</p>
  </main>
</template>

<style scoped>
.photo-screen {
  min-height: 100%;
  padding: 16px 24px 28px;
}

.photo-screen.over {
  outline: 4px dashed var(--thread);
  outline-offset: -10px;
}

header,
.deeds,
.under {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

header {
  justify-content: space-between;
  padding-bottom: 12px;
}

.deeds :deep(.el-button + .el-button) {
  margin-left: 0;
}

.table {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(300px, 1fr);
  gap: 28px;
  align-items: start;
}

.under {
  padding-top: 10px;
}

.square {
  overflow: hidden;
  max-width: min(100%, calc(100vh - 190px));
}

.square svg {
  display: block;
  width: 100%;
  height: 100%;
}

.square img {
  max-width: none;
  transform-origin: 0 0;
}

.grey {
  filter: grayscale(1);
}

.says {
  padding-bottom: 8px;
  font-size: 20px;
  font-weight: 600;
}

.drawing {
  width: 220px;
}

.doubtful li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 16px;
  padding: 12px 0;
  border-top: 1px solid var(--hair);
}

.doubtful li.ignored .pair {
  opacity: 0.5;
}

.pair {
  display: flex;
  gap: 10px;
}

figure {
  margin: 0;
}

figcaption {
  color: var(--soft);
  font-size: 14px;
}

.empty {
  display: grid;
  grid-template-columns: 260px minmax(0, 640px);
  gap: 36px;
  align-items: start;
  padding-top: 20px;
}

.empty p {
  padding-top: 10px;
}

@media (max-width: 900px) {
  .table {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 560px) {
  .photo-screen {
    padding: 12px 16px 24px;
  }

  .empty {
    grid-template-columns: minmax(0, 1fr);
  }

  .doubtful li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
