<script setup lang="ts">
import { ref } from 'vue'
import { ElButton } from 'element-plus/es/components/button/index'
import { ElDialog } from 'element-plus/es/components/dialog/index'
import 'element-plus/es/components/button/style/css'
import 'element-plus/es/components/dialog/style/css'
import { drawnAddress, fileAt, fileText, listAddress, logbookAddress, thingFileAddress } from '@/api/client'
import StitchLine from '@/components/StitchLine.vue'
import { usePaper } from '@/composables/usePaper'
import { keepBlob, linkOf, sheets, type Thing } from '@/drawing/along'
import { pngOf } from '@/drawing/png'

/** Everything a block or a top can be taken along as: sheets, pictures, lists, the file itself. */
const props = defineProps<{ thing: Thing }>()
const isOpen = defineModel<boolean>({ required: true })
const { isBusy, problem, awaited, print } = usePaper(() => props.thing)

/** Dots across a picture: enough for a hand-sized print. */
const DOTS = 2000
const pictures = [
  { side: 'face', words: 'Face' },
  { side: 'back', words: 'Back' },
  { side: 'outlines', words: 'To colour in' },
] as const
const lists = [
  { list: 'cut', words: 'What to cut', kinds: ['csv', 'json'] },
  { list: 'fabric', words: 'Fabric to buy', kinds: ['csv'] },
  { list: 'joins', words: 'Joins', kinds: ['csv', 'json'] },
] as const
const link = ref<string | null>(null)
const isCopied = ref(false)
/** A picture or list that is being made; of a large block that takes a while. */
const isMaking = ref(false)

async function told(work: () => Promise<void>) {
  problem.value = null
  try {
    await work()
  } catch (error) {
    problem.value = error instanceof Error && error.message !== '' ? error.message : 'This picture cannot be drawn now. Try again.'
  }
}

const made = (work: () => Promise<void>) => {
  if (isMaking.value) return
  isMaking.value = true
  void told(work).finally(() => (isMaking.value = false))
}

const keep = (address: string, name: string) => made(async () => keepBlob(await fileAt(address), `${props.thing.name} ${name}`))

const keepPng = (side: (typeof pictures)[number]['side']) => made(async () => keepBlob(await pngOf(await fileAt(drawnAddress(props.thing, side)), DOTS), `${props.thing.name} ${side}.png`))

const makeLink = () =>
  told(async () => {
    link.value = await linkOf(await fileText(props.thing), window.location.origin)
    isCopied.value = await navigator.clipboard.writeText(link.value).then(() => true, () => false)
  })
</script>

<template>
  <ElDialog v-model="isOpen" :title="`Take ${thing.name} along`" width="min(680px, 94vw)" align-center append-to-body @closed="((link = null), (problem = null))">
    <div class="take-along">
      <p v-if="problem" class="warn" role="alert">{{ problem }}</p>
      <p v-else-if="isMaking" role="status">It is being made, and comes to your downloads.</p>
      <section aria-labelledby="along-paper">
        <h2 id="along-paper">On paper</h2>
        <p class="soft">Black and white, on the paper of the settings.</p>
        <div class="deeds">
          <ElButton type="primary" :disabled="isBusy" @click="print(sheets.map((sheet) => sheet.kind))">All sheets</ElButton>
          <ElButton v-for="sheet in sheets" :key="sheet.kind" :disabled="isBusy" @click="print([sheet.kind])">{{ sheet.words }}</ElButton>
        </div>
        <div v-if="isBusy" role="status">
          <p>{{ awaited?.what === 'paper' ? `${awaited.done} of ${awaited.most} sheets are set.` : 'The sheets are being set.' }}</p>
          <StitchLine v-if="awaited?.what === 'paper'" :done="awaited.done" :all="awaited.most" label="Sheets" />
        </div>
      </section>
      <section aria-labelledby="along-pictures">
        <h2 id="along-pictures">As a picture</h2>
        <ul>
          <li v-for="picture in pictures" :key="picture.side">
            <span>{{ picture.words }}</span>
            <a class="link-button" :href="drawnAddress(thing, picture.side)" :download="`${thing.name} ${picture.side}.svg`" :aria-label="`${picture.words} as SVG`" @click.prevent="keep(drawnAddress(thing, picture.side), `${picture.side}.svg`)">SVG</a>
            <button type="button" class="link-button" :aria-label="`${picture.words} as PNG`" @click="keepPng(picture.side)">PNG</button>
          </li>
        </ul>
      </section>
      <section aria-labelledby="along-lists">
        <h2 id="along-lists">As a list</h2>
        <ul>
          <li v-for="one in lists" :key="one.list">
            <span>{{ one.words }}</span>
            <a v-for="kind in one.kinds" :key="kind" class="link-button" :href="listAddress(thing, one.list, kind)" download :aria-label="`${one.words} ${kind === 'csv' ? 'for a spreadsheet' : 'as JSON'}`" @click.prevent="keep(listAddress(thing, one.list, kind), `${one.list}.${kind}`)">{{ kind === 'csv' ? 'for a spreadsheet' : 'JSON' }}</a>
          </li>
          <li v-if="thing.kind === 'blocks'">
            <span>Logbook</span>
            <a class="link-button" :href="logbookAddress(thing.id, 'csv')" download aria-label="Logbook for a spreadsheet">for a spreadsheet</a>
            <a class="link-button" :href="logbookAddress(thing.id, 'json')" download aria-label="Logbook as JSON">JSON</a>
          </li>
        </ul>
      </section>
      <section aria-labelledby="along-share">
        <h2 id="along-share">To share</h2>
        <p class="soft">The file and the link hold the {{ thing.kind === 'blocks' ? 'block with its plan' : 'top with its blocks' }}, and the names of its fabrics. Nothing is sent: you hand it on yourself.</p>
        <div class="deeds">
          <a class="link-button" :href="thingFileAddress(thing)" download>Keep as a file</a>
          <button type="button" class="link-button" @click="makeLink">Make a link</button>
        </div>
        <template v-if="link">
          <p role="status">{{ isCopied ? 'The link is copied.' : 'Copy this link:' }} Whoever opens it where Keen Seam runs sees the {{ thing.kind === 'blocks' ? 'block' : 'top' }} and may keep it.</p>
          <textarea class="link" readonly rows="3" aria-label="Link" :value="link" @focus="($event.target as HTMLTextAreaElement).select()" />
        </template>
      </section>
    </div>
  </ElDialog>
</template>

<style scoped>
.take-along {
  display: grid;
  gap: 18px;
}

h2 {
  font-size: 18px;
}

li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 18px;
  min-height: 44px;
  border-top: 1px solid var(--hair);
}

li > span {
  flex: 1 1 130px;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  padding: 6px 0;
}

.deeds :deep(.el-button + .el-button) {
  margin-left: 0;
}

.link {
  width: 100%;
  padding: 8px;
  border: 1px solid var(--hair);
  border-radius: 6px;
  font: inherit;
  font-size: 15px;
  word-break: break-all;
}
</style>
