<script setup lang="ts">
/** Full window for the class: one example on the board. */
import { useRouter } from 'vue-router'
import ShowBar from './ShowBar.vue'
import ShowBoard from './ShowBoard.vue'

const props = defineProps<{
  /** The example's id. */
  id: string
}>()

const router = useRouter()

function leave(): void {
  void router.push({ name: 'bench', params: { id: props.id } })
}
</script>

<template>
  <ShowBoard :id="id" @leave="leave">
    <template #bar="{ title, shown, count, helps, turn }">
      <ShowBar
        :id="id"
        :title="title"
        :shown="shown"
        :count="count"
        :helps="helps"
        @leave="leave"
        @helps="turn"
      />
    </template>
  </ShowBoard>
</template>
