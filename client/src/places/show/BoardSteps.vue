<script setup lang="ts">
/** The steps that the board can take from here, as buttons. */
import { words } from '@/texts/en'
import { ask, back, beside, fork, mark, next, type Reveal } from './reveal'
import type { Board } from './useBoard'

const now = defineModel<Reveal>('now', { required: true })
defineProps<{
  board: Board
  /** Whether marks are drawn at all. */
  marks: boolean
}>()
</script>

<template>
  <el-button :disabled="!now.shown && !now.fork && !now.asking" @click="now = back(now)">
    {{ words.show.back }}
  </el-button>
  <el-button :disabled="now.shown >= board.count.value" @click="now = ask(now, board.count.value)">
    {{ words.show.predict }}
  </el-button>
  <el-button :disabled="!board.here.value.length" @click="now = fork(now, board.here.value.length)">
    {{ now.fork && !now.fork.struck ? words.show.strike : words.show.fork }}
  </el-button>
  <el-button
    :disabled="!marks || now.drawn >= board.groups.value.length"
    @click="now = mark(now, board.groups.value.length)"
  >
    {{ words.show.mark }}
  </el-button>
  <el-button
    :disabled="!board.pieces.value.length"
    @click="now = beside(now, board.pieces.value.length)"
  >
    {{ words.show.beside }}
  </el-button>
  <el-button
    type="primary"
    :disabled="now.shown >= board.count.value"
    @click="now = next(now, board.count.value)"
  >
    {{ words.show.next }}
  </el-button>
</template>
