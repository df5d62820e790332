<script setup lang="ts">
import { computed } from 'vue'
import type { RuleChanges, RuleMend, WorseRule } from '@/api/types'
import { countOf, formatRatio } from '@/ui/format'

/** What the new colours do to the contrast of the sheet’s rules; what falls short comes with a mend. */
const props = defineProps<{ changes: RuleChanges | undefined }>()
const emit = defineEmits<{ mend: [mend: RuleMend] }>()

const SHOWN = 4
interface Group {
  id: string
  mend: RuleMend | null
  rules: WorseRule[]
}
/** Rules that the same mend would help stand together, those that most need it first. */
const groups = computed(() => {
  const found = new Map<string, Group>()
  for (const rule of props.changes?.worse ?? []) {
    const id = rule.mend ? `${rule.mend.old} ${rule.mend.key}` : 'none'
    const group = found.get(id) ?? { id, mend: rule.mend ?? null, rules: [] }
    group.rules.push(rule)
    found.set(id, group)
  }
  return [...found.values()]
})
</script>

<template>
  <section class="border border-hair bg-sheet px-3 py-2" aria-label="Contrast of its rules">
    <p v-if="!changes" class="text-quiet" role="status">Comparing the rules…</p>
    <template v-else>
      <p role="status" data-testid="rules">
        <b>{{ countOf(changes.failing_after, 'pair', 'pairs') }}</b> of {{ changes.judged }} that a
        CSS rule sets fail; before, it was {{ changes.failing_before }}.
        <span v-if="!changes.worse.length" class="text-quiet">None got worse.</span>
      </p>
      <div v-for="group in groups" :key="group.id" class="mt-2 border-t border-hair pt-2">
        <div v-if="group.mend" class="flex flex-wrap items-center gap-2">
          <span
            class="keeps-color h-5 w-7 flex-none border border-hair"
            :style="{ backgroundColor: group.mend.hex }"
          ></span>
          <span class="min-w-0 flex-1">
            <span class="value">{{ group.mend.old }}</span> as {{ group.mend.name }} would mend
            {{ countOf(group.rules.length, 'pair', 'pairs').toLowerCase() }}
          </span>
          <button type="button" class="button" @click="emit('mend', group.mend)">
            Use {{ group.mend.name }}
          </button>
        </div>
        <p v-else class="font-semibold">No colour of the take mends these</p>
        <p
          v-for="rule in group.rules.slice(0, SHOWN)"
          :key="`${rule.selector}${rule.scope}${rule.line}`"
          class="flex items-center gap-2"
        >
          <span
            data-specimen
            class="keeps-color flex-none border border-hair px-1 text-small font-semibold"
            :style="{ color: rule.text_hex, backgroundColor: rule.ground_hex }"
            aria-hidden="true"
            >Aa</span
          >
          <span class="value min-w-0 flex-1 truncate" :title="`${rule.file}, line ${rule.line}`">{{
            rule.scope ? `${rule.selector} in ${rule.scope}` : rule.selector
          }}</span>
          <span class="value flex-none"
            >{{ formatRatio(rule.before) }} → {{ formatRatio(rule.after) }} of
            {{ rule.needed }}</span
          >
        </p>
        <p v-if="group.rules.length > SHOWN" class="text-quiet">
          and {{ group.rules.length - SHOWN }} more
        </p>
      </div>
    </template>
  </section>
</template>
