<script setup lang="ts">
/** Errors down, sittings and lessons across: how many of how many; each number opens its papers. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { written } from '@/shared/logic/dated'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The class's id. */
  id: string
  log: Schemas['LogOut']
}>()

const columns = computed(() => props.log.columns)
/** Errors that are listed before the rest is asked for: those of the most papers. */
const MOST = 14
const all = ref(false)
const wrong = computed(() => props.log.rows.filter((row) => !row.too_soon))
const rest = computed(() => Math.max(0, wrong.value.length - MOST))
const rows = computed(() => [
  ...(all.value ? wrong.value : wrong.value.slice(0, MOST)),
  ...props.log.rows.filter((row) => row.too_soon),
])
const isFirstSoon = (index: number) =>
  !!rows.value[index]?.too_soon && !rows.value[index - 1]?.too_soon
const share = ({ count, of }: Schemas['LogCell']) => (of ? count / of : 0)
const behind = (error: string, sitting?: string) => ({
  name: 'behind',
  params: { id: props.id, error },
  query: sitting ? { sitting } : {},
})
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="words.log.title(log.title)">
    <table>
      <thead>
        <tr>
          <th scope="col">{{ words.log.error }}</th>
          <th v-for="column in columns" :key="column.id" scope="col" :data-kind="column.kind">
            <router-link
              :to="{ name: column.kind, params: { id: column.id } }"
              :title="column.title"
              >{{ written(column.date) }}</router-link
            >
            <small>{{ column.kind === 'lesson' ? words.log.lesson : column.title }}</small>
          </th>
        </tr>
      </thead>
      <tbody>
        <template v-for="(row, index) in rows" :key="row.error + row.too_soon">
          <tr v-if="isFirstSoon(index)" class="soon">
            <th :colspan="columns.length + 1" scope="rowgroup">{{ words.log.tooSoon }}</th>
          </tr>
          <tr>
            <th scope="row">
              <router-link :to="behind(row.error)">{{ row.name }}</router-link>
              <small>
                {{ words.log.since }} {{ written(row.since)
                }}<template v-if="row.trend">
                  · <b :data-trend="row.trend">{{ words.log.trend[row.trend] }}</b>
                  <template v-if="row.seen">{{ ` ${words.log.sinceLesson}` }}</template>
                </template>
              </small>
            </th>
            <td v-for="(cell, place) in row.cells" :key="place">
              <router-link
                v-if="cell && columns[place]?.kind === 'sitting' && cell.count"
                :to="behind(row.error, columns[place]?.id)"
                :aria-label="words.log.of(cell.count, cell.of)"
              >
                <b>{{ cell.count }}</b><small>/{{ cell.of }}</small>
                <span class="bar" :style="{ width: `${100 * share(cell)}%` }" />
              </router-link>
              <span v-else-if="cell" :class="{ none: !cell.count }">
                {{ cell.count }}<small>/{{ cell.of }}</small>
              </span>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <el-button v-if="rest" link type="primary" @click="all = !all">
      {{ all ? words.log.fewer : words.log.rest(rest) }}
    </el-button>
  </div>
</template>

<style scoped src="./log-table.css"></style>
