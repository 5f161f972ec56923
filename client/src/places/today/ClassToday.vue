<script setup lang="ts">
/** One class today: the lesson that goes on, what is planned and due, papers that wait or ask. */
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { useGoOn } from '@/shared/composables/useGoOn'
import { written } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  today: Schemas['ClassToday']
  /** The day, as the server writes it. */
  on: string
}>()

const goOn = useGoOn()
const { busy, refusal, run, again } = useAction()
const isQuiet = computed(() => {
  const { going, lessons, due, papers, asking, carry, next } = props.today
  return !going && !next && ![lessons, due, papers, asking, carry].some((listed) => listed.length)
})

/** Put what is due into the next lesson, or into one of today. */
function warmUp(): void {
  void run(async () => {
    const body = {
      school_class: props.today.id,
      date: props.on,
      title: words.today.review,
      minutes: 45,
    }
    const next = props.today.lessons[0] ?? (await result(api.POST('/api/lessons', { body })))
    const path = { identity: next.id }
    await result(api.POST('/api/lessons/{identity}/warm-up', { params: { path } }))
    await goOn({ name: 'lesson', params: { id: next.id } })
  })
}
</script>

<template>
  <article>
    <header>
      <h2>{{ today.title }}</h2>
      <span class="u-quiet">{{ today.year }}</span>
      <router-link :to="{ name: 'log', params: { id: today.id } }">{{
        words.today.log
      }}</router-link>
    </header>
    <FailureNote :message="refusal" @again="again" />
    <p v-if="isQuiet" class="u-quiet">
      {{ words.today.none }}
      <router-link :to="{ name: 'lessons' }">{{ words.today.plan }}</router-link>
    </p>
    <dl v-else>
      <template v-if="today.going">
        <dt class="now">{{ words.today.going }}</dt>
        <dd>
          <router-link :to="{ name: 'hold', params: { id: today.going.id } }">{{
            `${today.going.title}: ${words.today.goOn}`
          }}</router-link>
        </dd>
      </template>
      <template v-if="today.due.length">
        <dt>{{ words.today.due(today.due.length) }}</dt>
        <dd>
          <ul>
            <li v-for="one in today.due" :key="one.error">
              {{ words.today.dueSays(one.name, written(one.taught)) }}
            </li>
          </ul>
          <el-button :disabled="busy" @click="warmUp">{{ words.today.warmUp }}</el-button>
        </dd>
      </template>
      <template
        v-for="[name, listed] in [
          ['lessons', today.lessons],
          ['carry', today.carry],
        ] as const"
        :key="name"
      >
        <template v-if="listed.length">
          <dt>{{ words.today[name] }}</dt>
          <dd>
            <p v-for="one in listed" :key="one.id">
              {{ written(one.date) }}:
              <router-link :to="{ name: 'lesson', params: { id: one.id } }">{{
                one.title
              }}</router-link>
            </p>
          </dd>
        </template>
      </template>
      <template
        v-for="[name, listed] in [
          ['papers', today.papers],
          ['asking', today.asking],
        ] as const"
        :key="name"
      >
        <template v-for="one in listed" :key="one.id">
          <dt>{{ words.today[name](one.count) }}</dt>
          <dd>
            <router-link :to="{ name: 'sitting', params: { id: one.id } }">{{
              one.title
            }}</router-link>
          </dd>
        </template>
      </template>
      <template v-if="today.next">
        <dt>{{ words.today.next }}</dt>
        <dd>
          <router-link :to="{ name: 'log', params: { id: today.id } }">{{
            words.today.nextSays(today.next.name, today.next.count, today.next.of)
          }}</router-link>
        </dd>
      </template>
    </dl>
  </article>
</template>

<style scoped src="./class-today.css"></style>
