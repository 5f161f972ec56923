<script setup lang="ts">
/** The units of the course, in two levels: choose one to see what is filed there; make, name and delete them. */
import { ElMessageBox } from 'element-plus'
import 'element-plus/es/components/message-box/style/css'
import { computed, ref } from 'vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import ShareButton from '@/sharing/ShareButton.vue'
import { words } from '@/texts/en'
import { useUnits } from './useUnits'

/** The chosen unit; '' for everything. */
const chosen = defineModel<string>({ required: true })
const { units, tree, make, change, remove, refusal, again, busy } = useUnits()
const title = ref('')

const here = computed(() => units.value.find((unit) => unit.id === chosen.value))
/** A new unit is a part of the chosen one, where that is no part itself. */
const above = computed(() => (here.value && !here.value.parent ? here.value.id : null))

async function add(): Promise<void> {
  if (title.value.trim() && (await make(title.value.trim(), above.value))) title.value = ''
}

async function rename(): Promise<void> {
  const unit = here.value
  if (!unit) return
  const typed = await ElMessageBox.prompt(words.units.newName, words.units.rename, {
    inputValue: unit.title,
    inputPattern: /\S/,
    inputErrorMessage: words.units.nameMissing,
    confirmButtonText: words.units.rename,
    cancelButtonText: words.units.leave,
  }).catch(() => null)
  if (typed) await change({ ...unit, title: typed.value.trim().slice(0, 100) })
}

async function drop(): Promise<void> {
  const unit = here.value
  if (!unit) return
  const sure = await ElMessageBox.confirm(words.units.removeSays(unit.title), words.units.remove, {
    confirmButtonText: words.units.remove,
    cancelButtonText: words.units.leave,
  }).catch(() => null)
  if (sure && (await remove(unit.id))) chosen.value = ''
}
</script>

<template>
  <nav class="units" :aria-label="words.units.title">
    <h2>{{ words.units.title }}</h2>
    <ul>
      <li>
        <button type="button" :aria-pressed="!chosen" @click="chosen = ''">
          {{ words.units.all }}
        </button>
      </li>
      <li v-for="unit in tree" :key="unit.id">
        <button type="button" :aria-pressed="chosen === unit.id" @click="chosen = unit.id">
          {{ unit.title }}
        </button>
        <ul v-if="unit.parts.length">
          <li v-for="part in unit.parts" :key="part.id">
            <button type="button" :aria-pressed="chosen === part.id" @click="chosen = part.id">
              {{ part.title }}
            </button>
          </li>
        </ul>
      </li>
    </ul>
    <p v-if="here" class="changes">
      <el-button
        v-if="here.position > 0"
        link
        @click="change({ ...here, position: here.position - 1 })"
      >
        {{ words.units.up }}
      </el-button>
      <el-button link @click="rename">{{ words.units.rename }}</el-button>
      <el-button link @click="drop">{{ words.units.remove }}</el-button>
      <ShareButton kind="unit" :of="here.id" link />
    </p>
    <form @submit.prevent="add">
      <el-input
        v-model="title"
        maxlength="100"
        size="small"
        :placeholder="above ? words.units.newPart : words.units.newUnit"
        :aria-label="above ? words.units.newPart : words.units.newUnit"
      />
      <el-button v-if="title.trim()" size="small" native-type="submit" :disabled="busy">
        {{ words.units.make }}
      </el-button>
    </form>
    <FailureNote :message="refusal" @again="again" />
  </nav>
</template>

<style scoped>
h2 {
  font-size: var(--type-note);
  color: var(--quiet);
  font-weight: 400;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
ul ul {
  padding-left: var(--space-4);
}
li button {
  width: 100%;
  text-align: left;
  border: 0;
  border-left: 3px solid transparent;
  background: none;
  color: inherit;
  font: inherit;
  font-size: var(--type-note);
  padding: var(--space-1) var(--space-3);
  cursor: pointer;
  overflow-wrap: anywhere;
}
li button:hover {
  background: var(--lit);
}
li button[aria-pressed='true'] {
  border-left-color: var(--ink);
  background: var(--lit);
  font-weight: 700;
}
.changes {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  margin: var(--space-2) 0;
}
.changes .el-button + .el-button {
  margin-left: 0;
}
form {
  display: flex;
  gap: var(--space-2);
  margin-top: var(--space-4);
}
</style>
