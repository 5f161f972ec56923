<script setup lang="ts">
/** What the teacher says of one item to the student; drafted from what to say, edited, on the slip. */
import { ref, watch } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'

const props = defineProps<{ work: Schemas['WorkOut'] }>()
const emit = defineEmits<{ comment: [body: Schemas['CommentIn']] }>()

const text = ref(props.work.comment)
const alike = ref(false)
/** Where there is nothing to say the field stays away until it is asked for. */
const opened = ref(!!props.work.comment || !!props.work.draft)
watch(
  () => props.work.comment,
  (now) => (text.value = now),
)

function keep(): void {
  const comment = text.value.trim()
  if (comment === props.work.comment) return
  emit('comment', { item: props.work.item, comment, alike: alike.value })
}
function draft(): void {
  text.value = props.work.draft
  keep()
}
</script>

<template>
  <div class="comment no-print">
    <el-button v-if="!opened" size="small" link type="primary" @click="opened = true">
      {{ words.ways.comment }}
    </el-button>
    <el-input
      v-else
      v-model="text"
      type="textarea"
      autosize
      maxlength="600"
      :placeholder="words.ways.comment"
      :aria-label="words.ways.comment"
      :title="words.ways.commentSays"
      @blur="keep"
    />
    <el-button v-if="work.draft && !text" size="small" link type="primary" @click="draft">
      {{ words.ways.draft }}
    </el-button>
    <el-checkbox v-if="work.alike && text" v-model="alike" size="small">
      {{ words.ways.commentAlike }}
    </el-checkbox>
  </div>
</template>

<style scoped>
.comment {
  margin-top: var(--space-2);
}
</style>
