<script setup lang="ts">
/** Over the report on a key: what can be done with it. */
import { words } from '@/texts/en'

const errata = defineModel<boolean>('errata', { required: true })
defineProps<{
  /** The proofed key's id. */
  id: string
  /** Whether a sheet is read, and not a key. */
  isSheet: boolean
  hasItems: boolean
  canAccept: boolean
  canPrintErrata: boolean
}>()
defineEmits<{ accept: []; toSet: [] }>()

function print(): void {
  window.print()
}
</script>

<template>
  <header class="ways no-print">
    <router-link :to="{ name: 'proofs' }">{{ words.proofs.back }}</router-link>
    <el-button v-if="errata" @click="errata = false">{{ words.proofs.backToReport }}</el-button>
    <template v-if="!errata && !isSheet">
      <el-button :disabled="!canAccept" @click="$emit('accept')">
        {{ words.proofs.acceptAll }}
      </el-button>
      <el-button :disabled="!canPrintErrata" @click="errata = true">
        {{ words.proofs.errata }}
      </el-button>
      <a :href="`/api/proofs/${id}/key.txt`" download>{{ words.proofs.mended }}</a>
    </template>
    <el-button
      v-if="!errata"
      :type="isSheet ? 'primary' : undefined"
      :disabled="!hasItems"
      @click="$emit('toSet')"
      >{{ words.proofs.toSet }}</el-button
    >
    <el-button v-if="!isSheet" type="primary" :disabled="!hasItems" @click="print">
      {{ errata ? words.proofs.printErrata : words.proofs.print }}
    </el-button>
  </header>
</template>

<style scoped>
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-3);
}
.ways > a:first-child {
  margin-right: auto;
}
.ways .el-button + .el-button {
  margin-left: 0;
}
</style>
