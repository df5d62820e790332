<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import { signed } from './layout'
import type { Rule, TakeChange } from '@/api/types'
import { usePagePreview } from '@/page/usePagePreview'

defineProps<{
  rules: readonly Rule[]
  freeAngles: readonly number[]
  disabled: boolean
  /** What choosing a rule would ask for, to be looked at before. */
  change: (rule: string) => TakeChange
}>()
const { previewingChange } = usePagePreview()
const rule = defineModel<string>({ required: true })

const x = (angle: number) => 46 + (signed(angle) / 360) * 80
</script>

<template>
  <RadioGroup
    v-model="rule"
    :disabled="disabled"
    class="flex flex-wrap gap-1.5"
    aria-label="Hue rule"
  >
    <RadioGroupOption
      v-for="one in rules"
      :key="one.name"
      v-slot="{ checked }"
      :value="one.name"
      class="min-w-20 flex-1 cursor-pointer max-[900px]:min-w-23"
      v-on="previewingChange(() => (one.name === rule ? undefined : change(one.name)))"
    >
      <span
        class="block border px-2 pt-1 pb-0.5"
        :class="checked ? 'border-ink bg-ink text-sheet' : 'border-hair bg-sheet hover:border-ink'"
      >
        <svg viewBox="0 0 92 14" class="h-3.5 w-full" aria-hidden="true">
          <line x1="6" x2="86" y1="7" y2="7" stroke="currentColor" opacity="0.5" />
          <circle cx="46" cy="7" r="4.5" fill="currentColor" />
          <circle
            v-for="angle in one.is_free ? freeAngles : one.angles"
            :key="angle"
            :cx="x(angle)"
            cy="7"
            r="3"
            fill="currentColor"
          />
        </svg>
        <span
          class="block truncate text-small leading-4 font-semibold first-letter:uppercase"
          aria-hidden="true"
          >{{ one.short }}</span
        >
        <span class="sr-only">{{ one.name }}</span>
      </span>
    </RadioGroupOption>
  </RadioGroup>
</template>
