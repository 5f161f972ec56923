<script setup lang="ts">
/** In a row of a list: put it aside, or bring back what is put aside. */
import { words } from '@/texts/en'
import type { PuttingAside } from './usePuttingAside'

defineProps<{
  row: { id: string }
  /** Whether it is put aside. */
  isAside?: boolean
  aside: PuttingAside
}>()
</script>

<template>
  <el-button v-if="isAside" link type="primary" @click="aside.bring([row])">
    {{ words.examples.bringBack }}
  </el-button>
  <el-button v-else link type="primary" @click="aside.put([row])">
    {{ words.examples.putAside }}
  </el-button>
</template>
