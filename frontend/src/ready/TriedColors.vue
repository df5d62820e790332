<script setup lang="ts">
import type { Palette, PaletteColor } from '@/api/types'
import ActionMenu from '@/ui/ActionMenu.vue'
import { roleName } from '@/take/roles'

/** The palette's colours, each of which can be taken by itself. */
const props = defineProps<{ palette: Palette; roles: readonly string[] }>()
const emit = defineEmits<{ take: [color: PaletteColor, role: string | null] }>()
const OFFERED = new Set(['primary', 'secondary', 'accent', 'accent-2', 'accent-3'])

const actions = (color: PaletteColor) => [
  { value: '', label: `Add ${color.name.toLowerCase()}` },
  ...props.roles
    .filter((role) => OFFERED.has(role))
    .map((role) => ({ value: role, label: `As ${roleName(role)}` })),
]
</script>

<template>
  <ul class="flex border border-ink" aria-label="One colour of it">
    <li
      v-for="(color, row) in palette.colors"
      :key="color.role"
      class="relative min-w-0 flex-1 border-ink not-first:border-l"
    >
      <ActionMenu
        :actions="actions(color)"
        :align="row < palette.colors.length / 2 ? 'left' : 'right'"
        :label="`${roleName(color.role)}, ${color.name}, ${color.hex}: take only this one`"
        button-class="keeps-color block w-full -outline-offset-3"
        @act="emit('take', color, $event || null)"
      >
        <span
          class="block h-7"
          :style="{ backgroundColor: color.hex }"
          :title="`${roleName(color.role)} ${color.hex}`"
        ></span>
      </ActionMenu>
    </li>
  </ul>
</template>
