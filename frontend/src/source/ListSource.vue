<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import type { Source } from '@/api/types'
import { countOf } from '@/ui/format'

defineProps<{ source: Source }>()
</script>

<template>
  <div v-if="source.list" class="border border-ink bg-sheet px-4 py-3">
    <h2 dir="auto" class="text-title">{{ source.list.title ?? source.name }}</h2>
    <p class="text-quiet">
      {{ countOf(source.colors.length, 'colour', 'colours') }}, read as {{ source.list.format }}
    </p>
    <Disclosure v-if="source.list.warnings.length" v-slot="{ open }" as="div" class="mt-2">
      <DisclosureButton class="underline underline-offset-2">
        {{ open ? 'Hide' : 'Show' }}
        {{ countOf(source.list.warnings.length, 'warning', 'warnings').toLowerCase() }} about what
        Tonada changed or skipped
      </DisclosureButton>
      <DisclosurePanel as="ul" class="rule-list mt-1 max-h-40 overflow-auto" tabindex="0">
        <li v-for="(warning, row) in source.list.warnings" :key="row" class="flex gap-3 py-1">
          <span class="value w-16 flex-none text-quiet">{{
            warning.line ? `line ${warning.line}` : ''
          }}</span>
          <span class="min-w-0 wrap-break-word">{{ warning.text }}</span>
        </li>
      </DisclosurePanel>
    </Disclosure>
  </div>
</template>
