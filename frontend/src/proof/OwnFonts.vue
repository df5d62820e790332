<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BrandFont } from '@/api/types'
import { useBrandFonts } from '@/take/fonts'
import NoticeBar from '@/ui/NoticeBar.vue'
import { pickedFiles } from '@/ui/pickedFiles'

/** The brand’s own fonts: what of each is there, and what it can’t draw. */
const emit = defineEmits<{ added: [font: BrandFont] }>()
const { fonts, reading, problem, removed, add, remove, restore } = useBrandFonts()
const picker = ref<HTMLInputElement>()

async function picked(event: Event) {
  const font = await add(pickedFiles(event))
  if (font) emit('added', font)
}

const after = computed(() =>
  fonts.value.some((one) => one.family === removed.value?.family)
    ? 'The other files of its family stay.'
    : 'What was set in it is set in the trade’s own typeface.',
)

const BOLD_FROM = 600
const SHOWN_LETTERS = 6
const families = computed(() =>
  [...new Set(fonts.value.map((one) => one.family))].map((family) => {
    const files = fonts.value.filter((one) => one.family === family)
    return { family, files, notes: notesOf(files) }
  }),
)
function notesOf(files: readonly BrandFont[]): string[] {
  const lacks = Array.from(files[0]?.lacks ?? '')
  const said = []
  if (lacks.includes('a')) said.push('Draws no Latin letters; the trade’s own typeface does.')
  else if (lacks.length)
    said.push(
      `Lacks ${lacks.slice(0, SHOWN_LETTERS).join(' ')}${more(lacks.length)}; the trade’s own typeface draws them.`,
    )
  if (!files.some((one) => one.heaviest >= BOLD_FROM))
    said.push('Has no bold: browsers thicken it. Add the bold file, too.')
  return said
}
const more = (count: number) =>
  count > SHOWN_LETTERS ? ` and ${(count - SHOWN_LETTERS).toString()} more` : ''
const weightsOf = ({ lightest, heaviest }: BrandFont) =>
  lightest === heaviest ? lightest.toString() : `${lightest.toString()} to ${heaviest.toString()}`
</script>

<template>
  <div>
    <h3 class="font-semibold">Your own fonts</h3>
    <ul v-if="families.length" class="mt-1">
      <li v-for="{ family, files, notes } in families" :key="family" class="mt-1.5">
        <p class="font-semibold">
          <bdi>{{ family }}</bdi>
        </p>
        <ul>
          <li v-for="font in files" :key="font.id" class="flex items-center gap-2">
            <span class="min-w-0 flex-1 truncate" :title="font.name"
              >{{ weightsOf(font) }} <bdi class="text-quiet">{{ font.name }}</bdi></span
            >
            <button
              type="button"
              class="button"
              :aria-label="`Remove ${font.name}`"
              @click="remove(font)"
            >
              Remove
            </button>
          </li>
        </ul>
        <p v-for="note in notes" :key="note" class="text-small text-quiet">{{ note }}</p>
      </li>
    </ul>
    <p role="status" class="text-small text-quiet empty:hidden">
      {{ reading ? `Reading ${reading} …` : '' }}
    </p>
    <button type="button" class="button mt-1.5" :disabled="reading !== ''" @click="picker?.click()">
      Add a font
    </button>
    <p class="mt-1 text-small text-quiet">
      WOFF2, TTF or OTF, up to 2 MB each, whose licence allows web pages. They are shown in this
      brand’s pages, reviews and files only.
    </p>
    <input
      ref="picker"
      type="file"
      class="hidden"
      multiple
      aria-label="Font files"
      data-testid="font-file"
      accept=".woff2,.ttf,.otf,font/woff2,font/ttf,font/otf"
      @change="picked"
    />
    <NoticeBar v-if="problem" class="mt-2" :text="problem" @dismiss="problem = ''" />
    <NoticeBar
      v-if="removed"
      class="mt-2"
      :text="`${removed.name} was removed. ${after}`"
      @dismiss="removed = undefined"
    >
      <button type="button" class="button" @click="restore">Restore</button>
    </NoticeBar>
  </div>
</template>
