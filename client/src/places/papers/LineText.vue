<script setup lang="ts">
/** A line typeset; as it was written where it could not be read. */
import type { Schemas } from '@/api/client'
import MathText from '@/shared/math/MathText.vue'

defineProps<{ line: Schemas['Mathematics'] }>()
</script>

<template>
  <MathText v-if="line.latex" :latex="line.latex" :spoken="line.spoken" />
  <template v-else>{{ line.text }}</template>
</template>
