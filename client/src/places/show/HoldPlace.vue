<script setup lang="ts">
/** A lesson held: its items one after another on the board, hands counted, a quiet clock, stopped where it is. */
import { ElMessageBox } from 'element-plus'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Schemas } from '@/api/client'
import type { Keys } from '@/shared/composables/useKeys'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import HoldBar from './HoldBar.vue'
import ShowBoard from './ShowBoard.vue'
import ShowOfHands from './ShowOfHands.vue'
import { useHeld } from './useHeld'

const props = defineProps<{
  /** The lesson's id. */
  id: string
}>()

const router = useRouter()
const lesson = useHeld(props.id)
const { items, item, index, unsaved, minutes, opening } = lesson
const counting = ref(false)
const isLast = computed(() => index.value >= items.value.length - 1)
void lesson.load()

function leave(): void {
  if (counting.value) counting.value = false
  else void router.push({ name: 'lesson', params: { id: props.id } })
}
function go(by: number): void {
  counting.value = false
  lesson.go(index.value + by)
}
async function stop(): Promise<void> {
  const sure = await ElMessageBox.confirm(words.hold.stopSays, {
    confirmButtonText: words.hold.stopYes,
  }).catch(() => null)
  if (sure && (await lesson.end())) await router.push({ name: 'lesson', params: { id: props.id } })
}
const keys: Keys = {
  Escape: leave,
  N: () => counting.value || (isLast.value ? void stop() : go(1)),
  B: () => counting.value || go(-1),
  C: () => counting.value || (counting.value = true),
  X: () => counting.value || void stop(),
}
const handsAt = (after: number, fork: Schemas['Fork'] | null) =>
  lesson.held
    .get(item.value?.id ?? 0)
    ?.hands.find((one) => one.after === after && one.kind === (fork ? 'fork' : 'choices')) ?? null
</script>

<template>
  <div>
    <FailureNote v-if="item" :message="opening.refusal.value" @again="opening.again" />
    <WaitFor
      v-if="!item"
      :pending="!lesson.lesson.value"
      :failure="opening.refusal.value"
      @again="opening.again"
    >
      <p class="u-quiet none">
        {{ words.lessons.empty }}
        <router-link :to="{ name: 'lesson', params: { id } }">{{ words.hold.leave }}</router-link>
      </p>
    </WaitFor>
    <ShowBoard
      v-else
      :id="item.example!"
      :keys="keys"
      :covered="counting"
      works
      @leave="leave"
      @shown="lesson.shown"
      @forked="lesson.forked"
    >
      <template #bar="{ title, shown, count, helps, turn }">
        <HoldBar
          :title="title"
          :place="words.hold.item(index + 1, items.length)"
          :shown="words.show.count(shown, count)"
          :minutes="minutes"
          :unsaved="unsaved.size > 0"
          :helps="helps"
          @leave="leave"
          @helps="turn"
          @stop="stop"
        />
      </template>
      <template #over="{ open }">
        <ShowOfHands
          v-if="counting"
          :key="`${item.id} ${open?.error}`"
          :example="item.example!"
          :fork="open"
          :before="handsAt(open ? open.after : 0, open)"
          @raised="lesson.raised"
          @close="counting = false"
        />
      </template>
      <template #before>
        <el-button :disabled="!index" @click="go(-1)">{{ words.hold.previous }}</el-button>
      </template>
      <template #after>
        <el-button @click="counting = !counting">{{ words.hold.hands }}</el-button>
        <el-button :disabled="isLast" @click="go(1)">{{ words.hold.next }}</el-button>
      </template>
    </ShowBoard>
  </div>
</template>

<style scoped>
.none {
  padding: var(--space-6);
}
</style>
