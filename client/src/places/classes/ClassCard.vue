<script setup lang="ts">
/** One class: its codes on request, more of them, one deleted, the whole put aside and brought back. */
import { ElMessageBox } from 'element-plus'
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { current } from '@/api/session'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import HandOver from './HandOver.vue'
import { codesOf } from './codes'

const props = defineProps<{ row: Schemas['ClassRow']; archived: boolean }>()
const emit = defineEmits<{ changed: [] }>()

const open = ref<Schemas['ClassOut'] | null>(null)
const more = ref('')
const handing = ref(false)
const { busy, refusal, run, again } = useAction()
const path = () => ({ identity: props.row.id })

function toggle(): void {
  if (open.value) open.value = null
  else
    void run(async () => {
      open.value = await result(api.GET('/api/classes/{identity}', { params: { path: path() } }))
    })
}

function add(): void {
  void run(async () => {
    const params = { params: { path: path() }, body: { codes: codesOf(more.value) } }
    open.value = await result(api.POST('/api/classes/{identity}/students', params))
    more.value = ''
    emit('changed')
  })
}

async function remove(student: { id: number; code: string }): Promise<void> {
  const sure = await ElMessageBox.confirm(words.classes.removeSays(student.code), {
    confirmButtonText: words.classes.removeYes,
  }).catch(() => null)
  if (!sure) return
  await run(async () => {
    const params = { params: { path: { ...path(), student: student.id } } }
    open.value = await result(api.DELETE('/api/classes/{identity}/students/{student}', params))
    emit('changed')
  })
}

function put(): void {
  void run(async () => {
    const params = { params: { path: path() } }
    if (props.archived) await result(api.POST('/api/classes/{identity}/restore', params))
    else await result(api.DELETE('/api/classes/{identity}', params))
    emit('changed')
  })
}
</script>

<template>
  <article>
    <header>
      <h2>{{ row.title }}</h2>
      <span class="u-quiet">{{ row.year }}</span>
      <el-button v-if="!archived" link type="primary" :aria-expanded="!!open" @click="toggle">
        {{ words.classes.size(row.size) }}
      </el-button>
      <router-link v-if="!archived" :to="{ name: 'log', params: { id: row.id } }">{{
        words.log.open
      }}</router-link>
      <a v-if="!archived" :href="`/api/sittings/class/${row.id}.json`" download>{{
        words.classes.export
      }}</a>
      <el-button
        v-if="!archived && current?.department"
        link
        type="primary"
        @click="handing = true"
      >
        {{ words.department.hand }}
      </el-button>
      <el-button link type="primary" :disabled="busy" @click="put">
        {{ archived ? words.classes.restore : words.classes.archive }}
      </el-button>
    </header>
    <FailureNote :message="refusal" @again="again" />
    <HandOver v-if="handing" v-model="handing" :row="row" />
    <div v-if="open">
      <ul :aria-label="`${words.classes.students} ${row.title}`">
        <li v-for="student in open.students" :key="student.id">
          {{ student.code }}
          <el-button
            link
            type="primary"
            :aria-label="words.classes.removeCode(student.code)"
            :title="words.classes.removeCode(student.code)"
            @click="remove(student)"
            >×</el-button
          >
        </li>
      </ul>
      <form @submit.prevent="add">
        <el-input v-model="more" :aria-label="words.classes.codes" maxlength="8000" />
        <el-button native-type="submit" :disabled="busy || !more.trim()">
          {{ words.classes.add }}
        </el-button>
      </form>
    </div>
  </article>
</template>

<style scoped>
article {
  border-top: 1px solid var(--rule);
  padding: var(--space-3) 0;
}
header {
  display: flex;
  align-items: baseline;
  gap: var(--space-4);
}
h2 {
  margin: 0;
}
header .el-button:last-child {
  margin-left: auto;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  list-style: none;
  margin: var(--space-3) 0;
  padding: 0;
}
form {
  display: flex;
  gap: var(--space-3);
  max-width: 26rem;
}
</style>
