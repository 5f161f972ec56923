<script setup lang="ts">
/** The places, the same everywhere. */
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { current } from '@/api/session'
import { theme, toggleTheme } from '@/shared/composables/theme'
import { words } from '@/texts/en'

const route = useRoute()
defineProps<{
  /** Who is signed in. */
  username: string
}>()
const emit = defineEmits<{ keys: []; leave: [] }>()

const places = [
  { name: 'today', label: words.rail.today },
  { name: 'bench', label: words.rail.bench },
  { name: 'sets', label: words.rail.sets },
  { name: 'examples', label: words.rail.examples },
  { name: 'classes', label: words.rail.classes },
  { name: 'lessons', label: words.rail.lessons },
  { name: 'errors', label: words.rail.errors },
  { name: 'house', label: words.rail.house },
] as const
/** What only a school's server has. */
const more = computed(() => [
  ...(current.value?.department ? [{ name: 'department', label: words.rail.department }] : []),
  ...(current.value?.administrator ? [{ name: 'people', label: words.rail.people }] : []),
])
</script>

<template>
  <nav class="rail no-print" :aria-label="words.rail.label">
    <span class="product">
      <svg viewBox="0 0 24 24" width="22" height="22" aria-hidden="true">
        <path d="M9 1v22" stroke="currentColor" stroke-width="2" />
        <circle cx="9" cy="12" r="5.5" fill="currentColor" />
        <path d="M14 13c4 1 5 3.500 5 9" fill="none" stroke="#f0b49c" stroke-width="2" />
      </svg>
      <span class="name">{{ words.product }}</span>
    </span>
    <router-link
      v-for="place in [...places, ...more]"
      :key="place.name"
      :to="{ name: place.name }"
      :class="{ here: route.meta.place === place.name }"
    >
      {{ place.label }}
    </router-link>
    <button type="button" class="first" @click="toggleTheme">{{ words.rail.theme[theme] }}</button>
    <button type="button" @click="emit('keys')">{{ words.rail.keys }} <kbd>?</kbd></button>
    <router-link :to="{ name: 'account' }" :class="{ here: route.meta.place === 'account' }">
      {{ words.rail.account }}<small>{{ username }}</small>
    </router-link>
    <button type="button" @click="emit('leave')">{{ words.rail.leave }}</button>
  </nav>
</template>

<style scoped>
.rail {
  background: var(--rail);
  color: #f4f1e8;
  display: flex;
  flex-direction: column;
  padding: var(--space-4) 0;
  height: 100vh;
  position: sticky;
  top: 0;
}
@media (max-width: 900px), (max-height: 560px) {
  .rail.rail {
    flex-direction: row;
    align-items: center;
    height: var(--frame-top);
    padding: 0 var(--space-3);
    overflow-x: auto;
    z-index: 6;
    white-space: nowrap;
  }
  .rail > * {
    padding: var(--space-2) calc(var(--space-2) * 0.8);
    font-size: var(--type-note);
  }
  .rail .name {
    display: none;
  }
  .rail .first {
    margin: 0 0 0 auto;
  }
  .rail small {
    display: none;
  }
}
.product {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  font-weight: 700;
  font-size: var(--type-lead);
  padding: 0.1rem var(--space-4) var(--space-4);
}
a,
button {
  color: inherit;
  text-decoration: none;
  padding: var(--space-3) var(--space-4);
  font: inherit;
  font-size: var(--type-body);
  text-align: left;
  background: none;
  border: 0;
  cursor: pointer;
}
a:hover,
button:hover {
  background: #ffffff18;
}
a.router-link-active,
a.here {
  background: #ffffff24;
  box-shadow: inset 0 -2px 0 #f0b49c;
}
@media (forced-colors: active) {
  a.here,
  a.router-link-active {
    border: 2px solid Highlight;
  }
}
a:focus-visible,
button:focus-visible {
  outline-color: #f0b49c;
  outline-offset: -3px;
}
.first {
  margin-top: auto;
}
small {
  display: block;
  opacity: 0.85;
}
kbd {
  border: 1px solid #ffffff70;
  border-radius: 3px;
  padding: 0 var(--space-1);
  font: inherit;
  font-size: var(--type-small);
}
</style>
