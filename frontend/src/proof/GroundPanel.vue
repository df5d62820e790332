<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ElementKind, GroundFigures, ProofFigures } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { colorChoices, roleLabel } from '@/take/roles'
import { formatRatio } from '@/ui/format'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

const props = defineProps<{
  proof: ProofFigures
  /** How many parts of the page stand on each ground, and how many of them fall short. */
  counts: ReadonlyMap<string, { parts: number; short: number }>
  most: number
  /** The ground of the section that was clicked; it opens. */
  chosen?: string | undefined
}>()
const take = useTakeStore()
const change = useChange()
const open = ref<string>()
watch(
  () => props.chosen,
  (ground) => (open.value = ground),
  { immediate: true },
)

const BY_RULE = ''
const choices = computed(() => {
  const document = take.shown
  if (!document) return []
  const roles = document.roles.map((one) => ({
    value: one.role,
    label: roleLabel(document.roles, one.role),
  }))
  return [...roles, ...colorChoices(document)]
})
const optionsFor = (use: { by_rule_name: string; key: string; name: string; changed: boolean }) => {
  const offered = [{ value: BY_RULE, label: `By rule: ${use.by_rule_name}` }, ...choices.value]
  return !use.changed || offered.some((one) => one.value === use.key)
    ? offered
    : [...offered, { value: use.key, label: use.name }]
}
function set(ground: string, element: ElementKind, key: string) {
  void change.make({ kind: 'use', ground, element, key: key || null })
}
function add(key: string) {
  const name = choices.value.find((one) => one.value === key)?.label
  if (name) void change.make({ kind: 'add ground', name, key })
}
const changes = (ground: GroundFigures) => ground.elements.filter((one) => one.changed).length
function counted(ground: string) {
  const { parts, short } = props.counts.get(ground) ?? { parts: 0, short: 0 }
  if (!parts) return 'not on this page'
  return `${parts.toString()} ${parts === 1 ? 'part' : 'parts'}, ${short ? `${short.toString()} falling short` : 'all read'}`
}
</script>

<template>
  <section aria-label="Grounds">
    <h2 class="text-title leading-tight">Grounds</h2>
    <p class="mt-1 text-quiet">
      Section backgrounds. Headings, text, links and buttons get a readable colour automatically;
      change any of them here.
    </p>
    <ul class="rule-list mt-2">
      <li v-for="ground in proof.grounds" :key="ground.id" class="py-1.5">
        <button
          type="button"
          class="flex w-full items-center gap-2 text-left"
          :aria-expanded="open === ground.id"
          @click="open = open === ground.id ? undefined : ground.id"
        >
          <span
            class="keeps-color h-5 w-5 flex-none border border-hair"
            :style="{ backgroundColor: ground.hex }"
          ></span>
          <span class="min-w-0 flex-1 truncate font-semibold">{{ ground.name }}</span>
          <span v-if="changes(ground)" title="Changed by you" aria-hidden="true"
            >✎ {{ changes(ground) }}</span
          >
          <span v-if="changes(ground)" class="sr-only">{{ changes(ground) }} changed by you</span>
          <span :class="counts.get(ground.id)?.short ? 'font-semibold' : 'text-quiet'">{{
            counted(ground.id)
          }}</span>
        </button>
        <template v-if="open === ground.id">
          <div
            v-for="use in ground.elements"
            :key="use.element"
            class="mt-1.5 grid grid-cols-[24px_minmax(0,1fr)] items-center gap-x-2"
          >
            <p class="col-span-2 flex justify-between gap-2 text-small">
              <span class="text-quiet">{{ use.element }}</span>
              <span class="value" :class="!use.passes && 'font-semibold'"
                >{{ formatRatio(use.ratio) }}:1{{ use.passes ? '' : ', fails' }}</span
              >
            </p>
            <span
              class="keeps-color h-6 w-6 text-center leading-6 font-semibold"
              :style="{ color: use.hex, backgroundColor: use.over }"
              aria-hidden="true"
              >a</span
            >
            <ChoiceList
              :label="`${use.element} on ${ground.name}`"
              align="left"
              :model-value="use.changed ? use.key : BY_RULE"
              :options="optionsFor(use)"
              @update:model-value="set(ground.id, use.element, $event)"
            />
          </div>
          <div class="mt-2 flex gap-2">
            <button
              v-if="changes(ground)"
              type="button"
              class="button"
              @click="change.make({ kind: 'forget ground', ground: ground.id })"
            >
              All automatic
            </button>
            <button
              v-if="ground.is_own"
              type="button"
              class="button"
              @click="change.make({ kind: 'remove ground', ground: ground.id })"
            >
              Take out
            </button>
          </div>
        </template>
      </li>
    </ul>
    <ChoiceList
      v-if="(take.document?.grounds.length ?? 0) < most"
      class="mt-3"
      label="Add a ground"
      align="left"
      up
      :model-value="BY_RULE"
      :options="[{ value: BY_RULE, label: 'Add a ground…' }, ...choices]"
      @update:model-value="add"
    />
  </section>
</template>
