<script setup lang="ts">
/** What Tonada does, in six steps with a sentence and a small picture each: for whoever is here first. */
const STEPS = [
  {
    name: 'Source',
    text: 'Drop a logo, a photograph or an old stylesheet. Tonada finds its colours and how much each covers.',
  },
  {
    name: 'Harmony',
    text: 'Add missing colours by a hue rule. Colours from the logo are held: only you can change them.',
  },
  {
    name: 'Roles',
    text: 'Give each colour a job: brand, background, text, message. By day and by night.',
  },
  {
    name: 'Pairs',
    text: 'See which text passes WCAG on which background. Mend what fails with the smallest change.',
  },
  {
    name: 'Proof',
    text: 'See it on pages of your client’s trade, wide and on a phone, and as colour-blind people do.',
  },
  {
    name: 'Handoff',
    text: 'Download stylesheets, tokens, a sheet for the client, and a check for the build.',
  },
] as const
</script>

<template>
  <section aria-label="How it works" class="mb-2">
    <h2 class="text-title">From a logo to a palette that passes</h2>
    <ol class="mt-2 grid grid-cols-3 gap-3 max-[600px]:grid-cols-1">
      <li
        v-for="(step, row) in STEPS"
        :key="step.name"
        class="border border-ink bg-sheet px-3 py-2"
      >
        <svg viewBox="0 0 96 48" class="h-10 w-full" aria-hidden="true">
          <g v-if="row === 0" fill="none" class="stroke-ink">
            <path d="M4 4h40v40H4z" stroke-dasharray="3 3" />
            <path d="M12 36 24 16l12 20z" fill="currentColor" stroke="none" />
            <path
              d="M52 12h40v7H52zM52 23h26v7H52zM52 34h12v7H52z"
              fill="currentColor"
              stroke="none"
            />
          </g>
          <g v-else-if="row === 1" class="stroke-ink">
            <path v-for="y in 5" :key="y" :d="`M4 ${y * 8}h88`" />
            <circle
              v-for="[x, y] in [
                [20, 32],
                [44, 20],
                [74, 12],
              ]"
              :key="x"
              :cx="x"
              :cy="y"
              r="6"
              fill="currentColor"
            />
          </g>
          <g v-else-if="row === 2">
            <path d="M4 14h88v20H4z" fill="none" class="stroke-ink" />
            <path d="M4 14h30v20H4z" fill="currentColor" />
            <path d="M34 14v20M64 14v20M80 14v20M49 14V6h10" fill="none" class="stroke-ink" />
          </g>
          <g v-else-if="row === 3">
            <path d="M4 6h40v36H4z" fill="currentColor" />
            <path d="M52 6h40v36H52z" fill="none" class="stroke-ink" />
            <path d="m17 25 6 6 10-13" fill="none" class="stroke-sheet" stroke-width="4" />
            <path d="m65 25 6 6 10-13" fill="none" class="stroke-ink" stroke-width="4" />
          </g>
          <g v-else-if="row === 4" class="stroke-ink" fill="none">
            <path d="M8 4h52v40H8zM70 12h18v32H70z" />
            <path d="M8 4h52v16H8zM70 12h18v10H70z" fill="currentColor" />
            <path d="M14 27h24M14 34h34M74 28h10M74 34h8" />
          </g>
          <g v-else class="stroke-ink" fill="none">
            <path d="M6 8h28v34H6zM14 16h12M14 23h12M14 30h8" />
            <path d="M44 25h32m-9-9 9 9-9 9" stroke-width="3" />
          </g>
        </svg>
        <h3 class="mt-2 font-semibold">{{ row + 1 }}. {{ step.name }}</h3>
        <p class="text-quiet">{{ step.text }}</p>
      </li>
    </ol>
  </section>
</template>
