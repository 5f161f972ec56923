<script setup lang="ts">
/** One lesson: what is shown, tried, given home; how long it takes; what was held of it. */
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import PickExamples from '@/filing/PickExamples.vue'
import { useGoOn } from '@/shared/composables/useGoOn'
import { isoDay } from '@/shared/logic/dated'
import ConflictDialog from '@/shared/page/ConflictDialog.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import WorkHead from '@/shared/page/WorkHead.vue'
import { words } from '@/texts/en'
import LessonItem from './LessonItem.vue'
import LessonLinks from './LessonLinks.vue'
import LessonSettings from './LessonSettings.vue'
import { useLesson } from './useLesson'

const props = defineProps<{
  /** The lesson's id. */
  id: string
}>()

const goOn = useGoOn()
const lesson = useLesson(() => props.id)
const { content, found, due, action, saving, opened, suggest } = lesson
const adding = ref(false)
const says = ref('')
const takes = computed(() => content.value.items.reduce((sum, item) => sum + item.estimated, 0))
const left = computed(() =>
  content.value.items.some(
    (item) => !item.done && item.role !== 'homework' && item.role !== 'skipped',
  ),
)
const inLesson = computed(() => content.value.items.flatMap((item) => item.example ?? []))

function more(item: number): void {
  says.value = ''
  void lesson.changedBy(async () => {
    const params = { path: { identity: props.id, item } }
    const made = await result(
      api.POST('/api/lessons/{identity}/items/{item}/more', { params, body: { count: 2 } }),
    )
    says.value = [words.lessons.moreSays(made.added), ...made.refused].join(' ').trim()
    return made.lesson
  })
}
function warmUp(): void {
  void lesson.changedBy(
    async () => (await result(api.POST('/api/lessons/{identity}/warm-up', lesson.at()))).lesson,
  )
}
async function carry(): Promise<void> {
  await action.run(async () => {
    await saving.save()
    const body = { date: isoDay(1) }
    const made = await result(api.POST('/api/lessons/{identity}/carry', { ...lesson.at(), body }))
    await goOn({ name: 'lesson', params: { id: made.id } })
  })
}
async function hold(): Promise<void> {
  await saving.save()
  await goOn({ name: 'hold', params: { id: props.id } })
}
const holds = computed(() =>
  !found.value?.begun
    ? words.lessons.hold
    : found.value.ended
      ? words.lessons.again
      : words.lessons.goOn,
)
</script>

<template>
  <div>
    <WorkHead
      v-model="content.title"
      :label="words.lessons.name"
      :untitled="words.lessons.untitled"
      :state="saving.state.value"
      :disabled="!opened"
      wide
    >
      <a :href="`/api/lessons/${id}/desk.pdf`" download>{{ words.lessons.desk }}</a>
      <a :href="`/api/lessons/${id}/first-moves.pdf`" download>{{ words.lessons.moves }}</a>
      <el-button :disabled="!opened" @click="adding = true">{{ words.lessons.addItems }}</el-button>
      <el-button type="primary" :disabled="!opened || !content.items.length" @click="hold">{{
        holds
      }}</el-button>
    </WorkHead>
    <main id="main" class="place" tabindex="-1">
      <LessonLinks :found="found" />
      <FailureNote :message="saving.refusal.value" @again="saving.save" />
      <FailureNote v-if="opened" :message="action.refusal.value" @again="action.again" />
      <WaitFor
        :pending="!opened"
        :failure="opened ? '' : action.refusal.value"
        @again="lesson.load"
      >
        <LessonSettings v-model="content" :takes="takes" :a-line="found?.a_line ?? 0" />
        <p v-if="due.length">
          <el-button :disabled="action.busy.value" @click="warmUp">{{
            words.lessons.warmUp(due.length)
          }}</el-button>
          <span class="u-quiet due">{{ due.join(', ') }}</span>
        </p>
        <p v-if="says" role="status">{{ says }}</p>
        <p v-if="!content.items.length" class="u-quiet">{{ words.lessons.empty }}</p>
        <ol>
          <LessonItem
            v-for="(item, index) in content.items"
            :key="item.id || `new-${index}`"
            v-model="content.items[index]!"
            :number="index + 1"
            :count="content.items.length"
            :busy="action.busy.value"
            :was-held="!!found?.begun"
            @move="(by) => lesson.move(index, by)"
            @remove="content.items.splice(index, 1)"
            @more="more(item.id)"
            @star="suggest(item.id)"
          />
        </ol>
        <p v-if="found?.ended">
          <router-link
            v-if="found.carried_to"
            :to="{ name: 'lesson', params: { id: found.carried_to } }"
            >{{ words.lessons.carried }}</router-link
          >
          <el-button v-else-if="left" :disabled="action.busy.value" @click="carry">{{
            words.lessons.carry
          }}</el-button>
        </p>
      </WaitFor>
    </main>
    <el-dialog v-model="adding" :title="words.lessons.addItems" width="46rem">
      <PickExamples v-if="adding" :in-set="inLesson" @add="lesson.add" />
    </el-dialog>
    <ConflictDialog :open="saving.state.value === 'conflict'" @settle="saving.settle" />
  </div>
</template>

<style scoped src="./lesson-place.css"></style>
