<script setup lang="ts">
/** How papers come in: typed or pasted, from the tray, as scanned pages beside the lines. */
import { ref } from 'vue'
import { words } from '@/texts/en'
import BringPapers from './BringPapers.vue'
import ScanHeap from './ScanHeap.vue'
import TrayBox from './TrayBox.vue'
import type { Grid } from './rows'
import type { useSitting } from './useSitting'

defineProps<{ sitting: ReturnType<typeof useSitting>; grid: Grid }>()
const way = ref('table')
</script>

<template>
  <section>
    <h2>{{ words.papers.bring }}</h2>
    <el-tabs v-model="way">
      <el-tab-pane name="table" :label="words.ways.table">
        <BringPapers :sitting="sitting" />
      </el-tab-pane>
      <el-tab-pane name="tray" :label="words.ways.tray" lazy>
        <TrayBox :sitting="sitting" :grid="grid" />
      </el-tab-pane>
      <el-tab-pane name="scans" :label="words.ways.scans" lazy>
        <ScanHeap :sitting="sitting" :grid="grid" />
      </el-tab-pane>
    </el-tabs>
  </section>
</template>
