<script setup lang="ts">
/** A live example under a rule: the given and its lines as they are worked now. */
import type { Schemas } from '@/api/client'
import MathText from '@/shared/math/MathText.vue'

defineProps<{ worked: Schemas['Worked'] }>()
</script>

<template>
  <MathText :latex="worked.reads.latex" />
  <MathText v-for="line in worked.lines" :key="line.text" :latex="line.latex" />
</template>
