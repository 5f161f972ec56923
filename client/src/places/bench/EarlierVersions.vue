<script setup lang="ts">
/** The way back: earlier versions of the example, each with what it held. */
import { ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { dated } from '@/shared/logic/dated'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  /** The example's id; null for one that is not stored yet. */
  id: string | null
}>()
const emit = defineEmits<{
  /** This version is to come back, as a change that can be undone. */
  back: [content: Schemas['ExampleIn']]
}>()

const versions = ref<Schemas['SnapshotOut'][] | null>(null)
const refusal = ref('')

watch(open, async (isOpen) => {
  if (!isOpen) return
  versions.value = props.id ? null : []
  refusal.value = ''
  if (!props.id) return
  try {
    const path = { identity: props.id }
    versions.value = await result(api.GET('/api/examples/{identity}/history', { params: { path } }))
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
})

function take(version: Schemas['SnapshotOut']): void {
  emit('back', version.content)
  open.value = false
}
</script>

<template>
  <el-dialog v-model="open" :title="words.versions.title" width="42rem">
    <p v-if="refusal" role="alert" class="u-warm">{{ refusal }}</p>
    <p v-else-if="versions && !versions.length" class="u-quiet">{{ words.versions.none }}</p>
    <ol class="versions">
      <li v-for="item in versions ?? []" :key="item.version">
        <b>{{ dated(item.taken) }}</b>
        <span class="held">
          {{ readable(item.content.given ?? '') }}
          <small>{{ (item.content.lines ?? []).map(readable).join('  ·  ') }}</small>
        </span>
        <el-button @click="take(item)">{{ words.versions.back }}</el-button>
      </li>
    </ol>
  </el-dialog>
</template>

<style scoped>
.versions {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 60vh;
  overflow-y: auto;
}
li {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr) auto;
  gap: var(--space-4);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--rule);
}
small {
  display: block;
  color: var(--quiet);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
