<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, onScopeDispose, ref, useTemplateRef, watch } from 'vue'
import type { TakeDocument } from '@/api/types'
import ProofFrame from '@/proof/ProofFrame.vue'
import { figuresOf, partsOf } from '@/proof/parts'
import { useContext } from '@/proof/useContext'
import { useProof } from '@/proof/useProof'
import { useBrandStore } from '@/take/brand'
import { brandFacts } from '@/take/fonts'
import { usePageWanted } from '@/take/pageWanted'
import { asKept, inScheme } from '@/take/scheme'
import { useTakeStore } from '@/take/take'
import { usePageChoice } from './usePageChoice'

/** What a part of the page is made of: the colour's key, and the ground that it stands on. */
export interface PickedPart {
  key: string
  groundKey: string
}

/** A sample page on a phone, as wide as there is room, in the colours of a document. */
const props = defineProps<{ document: TakeDocument; picks?: boolean }>()
const emit = defineEmits<{ pick: [part: PickedPart] }>()
const PHONE = 390
const { page, scheme, name } = usePageChoice()

const shown = computed(() =>
  props.document.other ? inScheme(asKept(props.document), scheme.value) : props.document,
)
const take = useTakeStore()
const brand = useBrandStore()
/** While something is dragged, what the page is drawn with comes with the change itself. */
const { wanted } = usePageWanted()
if (props.picks) {
  watch(
    [scheme, () => brand.detail],
    ([by, detail]) => (wanted.value = { scheme: by, ...brandFacts(detail) }),
    { immediate: true },
  )
  onScopeDispose(() => (wanted.value = undefined))
}
const { figures } = useProof(
  () => shown.value,
  () => {
    const { preview } = take
    const isIt = preview?.document === props.document && preview.pageScheme === scheme.value
    return isIt ? (preview?.page ?? undefined) : undefined
  },
)
const context = useContext(
  () => shown.value,
  () => figures.value,
  () => page.value,
)
const room = useElementSize(useTemplateRef<HTMLElement>('stage'))
const chosen = ref<string>()
let drawn: Document | undefined

function pick(part: string, section: string | undefined, paint: string | undefined) {
  chosen.value = part || undefined
  const proof = figures.value
  if (!proof) return
  const found = drawn && partsOf(drawn).find((one) => one.name === part)
  const use = found && figuresOf(found, proof)
  const groundId =
    found?.ground ??
    proof.sections.find((one) => one.page === page.value && one.section === section)?.ground
  const ground = proof.grounds.find((one) => one.id === groundId)
  if (!ground) return
  const painted = proof.paints.find((one) => one.name === paint)
  emit('pick', { key: (painted ?? use ?? ground).key, groundKey: ground.key })
}
</script>

<template>
  <div ref="stage" class="min-h-0 flex-1" data-testid="page">
    <ProofFrame
      v-if="context && room.width.value"
      :context="context"
      :title="`${name}, as it looks on a phone`"
      :width="PHONE"
      :scale="room.width.value / PHONE"
      :height="room.height.value"
      :chosen="chosen"
      :picks="picks ?? false"
      @pick="pick"
      @drawn="drawn = $event"
    />
  </div>
</template>
