<script setup lang="ts">
import { computed } from 'vue'
import type { ToldChange } from '@/api/types'

/** What changed, before and after side by side, by section. */
const props = defineProps<{ lines: readonly ToldChange[] }>()
const sections = computed(() => {
  const found = new Map<string, ToldChange[]>()
  for (const line of props.lines)
    found.set(line.section, [...(found.get(line.section) ?? []), line])
  return [...found]
})
const isOfOne = (line: ToldChange) => line.scheme === 'day' || line.scheme === 'night'
</script>

<template>
  <section v-for="[name, changes] in sections" :key="name" class="mt-4" :aria-label="name">
    <h3 class="text-title leading-tight">{{ name }}</h3>
    <table class="mt-1.5 w-full table-fixed border border-ink bg-sheet text-left">
      <thead class="max-[600px]:sr-only">
        <tr>
          <th class="w-[38%] px-3 py-1"><span class="sr-only">What</span></th>
          <th class="px-3 py-1 font-semibold">Before</th>
          <th class="px-3 py-1 font-semibold">After</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, row) in changes" :key="row" class="border-t border-hair align-top">
          <th scope="row" class="px-3 py-1.5 font-semibold break-words">
            {{ line.label }}
            <span v-if="isOfOne(line)" class="font-normal text-quiet">by {{ line.scheme }}</span>
            <span v-if="line.token" class="value block text-small font-normal text-quiet">{{
              line.token
            }}</span>
          </th>
          <td
            v-for="side in [
              { hex: line.hex_before, said: line.before },
              { hex: line.hex_after, said: line.after },
            ]"
            :key="side.said"
            class="px-3 py-1.5 break-words"
          >
            <span
              v-if="side.hex"
              class="keeps-color mr-2 inline-block h-4 w-7 border border-ink align-[-3px]"
              :style="{ backgroundColor: side.hex }"
              aria-hidden="true"
            ></span
            >{{ side.said }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
