<script setup lang="ts">
/** The end of a list in pages: the next one comes when one scrolls here, or by key. */
import { useIntersectionObserver } from '@vueuse/core'
import { useTemplateRef } from 'vue'
import { words } from '@/texts/en'

const props = defineProps<{
  hasMore: boolean
  busy: boolean
}>()
const emit = defineEmits<{ more: [] }>()

const end = useTemplateRef<HTMLElement>('end')
useIntersectionObserver(end, ([seen]) => {
  if (seen?.isIntersecting && props.hasMore && !props.busy) emit('more')
})
</script>

<template>
  <p v-show="hasMore" ref="end" class="more">
    <el-button :disabled="busy" @click="$emit('more')">
      {{ busy ? words.waiting.loading : words.waiting.more }}
    </el-button>
  </p>
</template>

<style scoped>
.more {
  text-align: center;
}
</style>
