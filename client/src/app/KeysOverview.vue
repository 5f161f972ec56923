<script setup lang="ts">
/** Every key in one overview. */
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })
</script>

<template>
  <el-dialog v-model="open" :title="words.keys.title" width="30rem">
    <table class="keys">
      <tbody>
        <tr v-for="[key, says] in words.keys.list" :key="key">
          <th scope="row">
            <kbd>{{ key }}</kbd>
          </th>
          <td>{{ says }}</td>
        </tr>
      </tbody>
    </table>
  </el-dialog>
</template>

<style scoped>
.keys th {
  text-align: left;
  padding: 0.25rem 1.4rem 0.25rem 0;
  white-space: nowrap;
}
kbd {
  border: 1px solid var(--edge);
  border-radius: 4px;
  padding: 0.1rem 0.45rem;
  font: inherit;
  font-size: 0.88rem;
}
</style>
