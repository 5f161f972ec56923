<script setup lang="ts">
/** What is done to the chosen rows of a list: filed under a unit, tags added or taken off. */
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import { useTags, useUnits, type Kind } from './useUnits'

const props = defineProps<{
  kind: Kind
  /** The chosen rows. */
  ids: string[]
}>()
const emit = defineEmits<{ filed: [] }>()

/** No unit, as a choice among units. */
const NOWHERE = 'nowhere'
const cache = useQueryClient()
const { tree } = useUnits()
const known = useTags(props.kind)
const { busy, refusal, run, again } = useAction()
const unit = ref('')
const tags = ref<string[]>([])

function file(wish: Partial<Schemas['FilingIn']>): Promise<boolean> {
  return run(async () => {
    const body = { add: [], drop: [], ids: props.ids, ...wish }
    if (props.kind === 'examples') await result(api.POST('/api/examples/file', { body }))
    else await result(api.POST('/api/sets/file', { body }))
    await cache.invalidateQueries({ queryKey: [props.kind] })
    if ('unit' in wish) unit.value = ''
    else tags.value = []
    emit('filed')
  })
}

const clean = () => tags.value.map((tag) => tag.trim()).filter(Boolean)
</script>

<template>
  <section class="filing" :aria-label="words.units.chosen(ids.length)">
    <b>{{ words.units.chosen(ids.length) }}</b>
    <el-select
      v-model="unit"
      class="unit"
      :placeholder="words.units.under"
      :aria-label="words.units.under"
      :disabled="busy"
      @change="(id: string) => file({ unit: id === NOWHERE ? null : id })"
    >
      <template v-for="one in tree" :key="one.id">
        <el-option :value="one.id" :label="one.title" />
        <el-option
          v-for="part in one.parts"
          :key="part.id"
          :value="part.id"
          :label="`${one.title} · ${part.title}`"
        />
      </template>
      <el-option :value="NOWHERE" :label="words.units.nowhere" />
    </el-select>
    <el-input-tag
      v-model="tags"
      class="tags"
      :max="12"
      :maxlength="40"
      :placeholder="words.units.tags"
      :aria-label="words.units.tags"
    />
    <template v-if="tags.length">
      <el-button :disabled="busy" @click="file({ add: clean() })">{{ words.units.tag }}</el-button>
      <el-button :disabled="busy" @click="file({ drop: clean() })">
        {{ words.units.untag }}
      </el-button>
    </template>
    <span v-else-if="known.length" class="known">
      <el-button
        v-for="tag in known.slice(0, 6)"
        :key="tag"
        link
        type="primary"
        @click="tags = [tag]"
      >
        {{ tag }}
      </el-button>
    </span>
    <slot />
    <FailureNote :message="refusal" @again="again" />
  </section>
</template>

<style scoped>
.filing {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-3);
  background: var(--lit);
  padding: var(--space-2) var(--space-3);
  border-radius: var(--round);
}
.unit {
  width: 11rem;
}
.tags {
  width: 13rem;
}
.known {
  display: flex;
  gap: var(--space-2);
}
.filing .el-button + .el-button {
  margin-left: 0;
}
</style>
