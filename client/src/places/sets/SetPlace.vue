<script setup lang="ts">
/** A set as a climb: its problems in order, each at its difficulty, with what it reveals. */
import { computed, ref, useTemplateRef } from 'vue'
import OwnRules from '@/example/OwnRules.vue'
import JobProgress from '@/jobs/JobProgress.vue'
import ConflictDialog from '@/shared/page/ConflictDialog.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import FoldOut from '@/shared/page/FoldOut.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { useAfterwards } from '@/shared/composables/useAfterwards'
import { useKeys } from '@/shared/composables/useKeys'
import ShareButton from '@/sharing/ShareButton.vue'
import { words } from '@/texts/en'
import AddProblems from './AddProblems.vue'
import CoverageTable from './CoverageTable.vue'
import ItemDetails, { type Likeness } from './ItemDetails.vue'
import MakeVersions from './MakeVersions.vue'
import SetClimb from './SetClimb.vue'
import SetHead from './SetHead.vue'
import { useSetPlace } from './useSetPlace'

const props = defineProps<{
  /** The set's id. */
  id: string
}>()

const { set, action, says, versions, ...done } = useSetPlace(() => props.id)
const { content, items, facts, saving, opening, opened } = set
const chosen = ref<number | null>(null)
const adding = ref(false)
const versioning = ref(false)
const climb = useTemplateRef<InstanceType<typeof SetClimb>>('climb')
const isDrawn = useAfterwards(() => !!climb.value?.isDrawn)
const picked = computed(() => (chosen.value === null ? undefined : items.value[chosen.value]))

function moveChosen(by: number): void {
  if (chosen.value !== null) climb.value?.choose(set.move(chosen.value, by))
}

function remove(index: number): void {
  set.remove(index)
  chosen.value = null
}

function more(count: number, kind: Likeness): void {
  if (picked.value) void done.more(picked.value.example.id, count, kind)
}

useKeys({
  'Alt+ArrowUp': () => moveChosen(-1),
  'Alt+ArrowDown': () => moveChosen(1),
  'Alt+T': () => more(1, 'twins'),
})
</script>

<template>
  <div class="set">
    <SetHead
      :id="id"
      v-model:title="content.title"
      class="over"
      :set="set"
      :busy="action.busy.value || versions.isOpen.value"
      @versions="versioning = true"
      @copy="done.copy"
      @add="adding = true"
    />
    <main id="main" class="sheet" tabindex="-1">
      <FailureNote :message="action.refusal.value" @again="action.again" />
      <FailureNote :message="saving.refusal.value" @again="saving.save" />
      <JobProgress
        v-if="versions.job.value && versions.job.value.state !== 'done'"
        :job="versions.job.value"
        :refusal="versions.refusal.value"
        @cancel="versions.cancel"
      />
      <p v-if="says" role="status">
        {{ says }}
        <el-button v-if="done.madeSets.value.length" link type="primary" @click="done.undoVersions">
          {{ words.sets.undoVersions }}
        </el-button>
      </p>
      <WaitFor :pending="!opened" :failure="opening.refusal.value" @again="opening.again">
        <label class="instruction">
          {{ words.sets.instruction }}
          <el-input
            v-model="content.instruction"
            maxlength="2000"
            :placeholder="words.sets.instructionHint"
          />
        </label>
        <div class="about">
          <FoldOut class="rules" :summary="words.sets.house">
            <OwnRules v-model="content.house" />
            <span class="u-quiet"> {{ words.sets.houseSays }}</span>
          </FoldOut>
          <ShareButton kind="set" :of="id" link />
        </div>
        <p v-if="!items.length" class="empty">{{ words.sets.empty }}</p>
        <template v-else>
          <SetClimb ref="climb" v-model:chosen="chosen" :set="set" @remove="remove" />
          <CoverageTable v-if="isDrawn" :facts="items.map((item) => facts[item.example.id])" />
        </template>
      </WaitFor>
    </main>
    <aside class="side no-print" :aria-label="words.sets.details">
      <ItemDetails
        v-if="picked && chosen !== null"
        v-model:instruction="picked.instruction"
        :number="chosen + 1"
        :count="items.length"
        :example="picked.example.id"
        :facts="facts[picked.example.id]"
        :busy="action.busy.value"
        @move="moveChosen"
        @remove="remove(chosen)"
        @more="more"
      />
      <p v-else class="u-quiet">{{ words.sets.chooseSays }}</p>
    </aside>
    <AddProblems
      v-model="adding"
      :in-set="items.map((item) => item.example.id)"
      :make="done.make"
      @add="set.add"
    />
    <MakeVersions v-model="versioning" @make="done.makeVersions" />
    <ConflictDialog :open="saving.state.value === 'conflict'" @settle="saving.settle" />
  </div>
</template>

<style scoped src="./set-place.css"></style>
