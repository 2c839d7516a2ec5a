<script setup lang="ts">
import { ref, watch } from 'vue'
import type { FaceShown, JoinSheetShown } from '@/api/types'
import TextField from '@/components/controls/TextField.vue'
import { asTyped } from '@/drawing/fractions'
import FractionText from '@/drawing/FractionText.vue'
import SeamRuler from '@/drawing/SeamRuler.vue'

/** One join: its ruler, what to do at every mark, and what it made. */
const props = withDefaults(defineProps<{ join: JoinSheetShown; face: FaceShown; /** Whether what it made can be told here. */ canMeasure?: boolean }>(), { canMeasure: true })
const emit = defineEmits<{ measured: [size: [string, string] | null] }>()

const size = ref<[string, string]>(['', ''])
watch(() => props.join, (join) => (size.value = join.measured ? [asTyped(join.measured[0], props.face.units), asTyped(join.measured[1], props.face.units)] : ['', '']), { immediate: true })
</script>

<template>
  <section class="sheet" :aria-label="join.title">
    <h2>{{ join.title }} <span class="soft"><FractionText :text="join.finished" /> {{ face.units }} finished</span></h2>
    <SeamRuler :join="join" :fabrics="face.fabrics" :units="face.units" />
    <p v-for="one in join.says" :key="one.text" :class="{ soft: one.wants === 'nothing', warn: one.wants === 'work' }"><FractionText :text="one.text" /></p>
    <p v-for="note in join.notes" :key="note"><FractionText :text="note" /></p>
    <table v-if="join.marks.length > 0" class="list-on-phone">
      <thead><tr><th scope="col">from the {{ join.ends[0].name }}, raw</th><th scope="col">{{ join.leftName }}</th><th scope="col">{{ join.rightName }}</th><th scope="col">what to do</th></tr></thead>
      <tbody>
        <tr v-for="(mark, i) in join.marks" :key="i" :data-verdict="mark.verdict ?? undefined">
          <td><FractionText :text="mark.from_edge[0]" /><template v-if="mark.from_edge[1] !== mark.from_edge[0]">, <FractionText :text="mark.from_edge[1]" /></template></td>
          <td :data-of="join.leftName">{{ mark.left }}</td>
          <td :data-of="join.rightName">{{ mark.right }}</td>
          <td>{{ mark.do }} {{ mark.feed }}<b v-if="mark.misses"> <FractionText :text="mark.misses" /></b></td>
        </tr>
      </tbody>
    </table>
    <form v-if="canMeasure" class="measure" :aria-label="`What ${join.title} made`" @submit.prevent="emit('measured', [...size])">
      What it made should measure <FractionText :text="join.meant.join(' x ')" /> {{ face.units }} raw; it measures
      <TextField v-model="size[0]" label="Measured width" hides-label size="short" /> x <TextField v-model="size[1]" label="Measured height" hides-label size="short" />
      <button type="submit" class="ask">Keep</button>
      <button v-if="join.measured" type="button" class="link-button" @click="emit('measured', null)">Forget it</button>
    </form>
    <p class="caution">Take each pin out as the needle comes to it; slow down by hand over a lump.</p>
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 10px;
  align-content: start;
}

h2 .soft {
  font-size: 16px;
  font-weight: 400;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 8px 12px 8px 0;
  border-top: 1px solid var(--hair);
  text-align: left;
  vertical-align: top;
}

th {
  border: 0;
  color: var(--soft);
  font-size: 15px;
  font-weight: 400;
}

td:first-child {
  font-size: 20px;
  font-weight: 650;
  white-space: nowrap;
}

.measure {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}

@media (max-width: 600px) {
  td:last-child {
    flex-basis: 100%;
  }
}
</style>
