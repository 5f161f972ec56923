<script setup lang="ts">
/** Where something is filed and used: its tags, and the sets that it stands in. */
defineProps<{
  tags: readonly string[]
  sets?: readonly { id: string; title: string }[]
  untitled: string
}>()
</script>

<template>
  <span v-if="tags.length || sets?.length" class="used">
    <span v-for="tag in tags" :key="tag" class="tag">{{ tag }}</span>
    <router-link v-for="one in sets" :key="one.id" :to="{ name: 'set', params: { id: one.id } }">
      {{ one.title || untitled }}
    </router-link>
  </span>
</template>

<style scoped>
.used {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-3);
  font-size: var(--type-small);
  line-height: 1.4;
}
.tag {
  color: var(--quiet);
}
.tag::before {
  content: '▸ ';
}
</style>
