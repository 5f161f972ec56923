<script setup lang="ts">
/** The scanned pages of one student, beside the lines that are typed from them. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'
import type { useScans } from './useScans'

const props = defineProps<{
  scans: ReturnType<typeof useScans>
  student: Schemas['StudentOut']
}>()
const mine = computed(() =>
  props.scans.pages.value.filter(({ student }) => student === props.student.id),
)
</script>

<template>
  <aside :aria-label="words.ways.beside" class="no-print">
    <figure v-for="page in mine" :key="page.id">
      <a v-if="page.shown" :href="scans.pictureOf(page)" target="_blank">
        <img :src="scans.pictureOf(page)" :alt="words.ways.pageAlt(student.code, page.page)" />
      </a>
      <p v-else>{{ words.ways.notShown }}</p>
      <figcaption>
        <el-button size="small" link type="primary" @click="scans.lay(page, student.id, 90)">
          {{ words.ways.turn }}
        </el-button>
        <el-button size="small" link type="primary" @click="scans.lay(page, null)">
          {{ words.ways.notTheirs }}
        </el-button>
      </figcaption>
    </figure>
  </aside>
</template>

<style scoped>
aside {
  position: sticky;
  top: var(--space-4);
  max-height: calc(100vh - var(--space-6));
  overflow-y: auto;
}
figure {
  margin: 0 0 var(--space-4);
}
img {
  width: 100%;
  border: 1px solid var(--rule);
}
</style>
