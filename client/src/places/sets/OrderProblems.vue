<script setup lang="ts">
/** Problems made to order: a family, the number that is wished for, how many. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'

defineProps<{
  /** Whether problems are being made. */
  busy: boolean
}>()
const emit = defineEmits<{ order: [body: Schemas['FamilyIn']] }>()

const { data, isPending, error, refetch } = useQuery({
  queryKey: ['families'],
  queryFn: () => result(api.GET('/api/sets/families')),
  staleTime: Infinity,
})
const family = ref('')
const wish = ref<number | undefined>()
const count = ref<number | undefined>(3)
const chosen = computed(() => data.value?.find((one) => one.key === family.value))
watch(data, (found) => (family.value ||= found?.[0]?.key ?? ''), { immediate: true })

function order(): void {
  const seed = Math.floor(Math.random() * 1e6)
  emit('order', { family: family.value, wish: wish.value ?? null, count: count.value ?? 1, seed })
}
</script>

<template>
  <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
    <el-form label-position="top" @submit.prevent="order">
      <el-form-item :label="words.sets.family">
        <el-select v-model="family" filterable>
          <el-option v-for="one in data" :key="one.key" :value="one.key" :label="one.name" />
        </el-select>
      </el-form-item>
      <el-form-item v-if="chosen?.wish" :label="words.sets.wish(chosen.wish)">
        <el-input-number v-model="wish" :min="-99" :max="99" :controls="false" />
      </el-form-item>
      <el-form-item :label="words.sets.howMany">
        <el-input-number v-model="count" :min="1" :max="30" />
      </el-form-item>
      <el-button native-type="submit" type="primary" :disabled="busy">
        {{ words.sets.take }}
      </el-button>
    </el-form>
  </WaitFor>
</template>
