<script setup lang="ts">
import { computed } from 'vue'
import type { Component } from 'vue'
import StripBlock from '@/proof/blocks/StripBlock.vue'
import { useProofContext } from '@/proof/context'
import PageFoot from '@/proof/PageFoot.vue'
import PageHead from '@/proof/PageHead.vue'

/** The home page: the sections that the core gives its trade, each drawn by the block with its name. */
const blocksByPath = import.meta.glob<Component>('../blocks/*Block.vue', {
  import: 'default',
  eager: true,
})
const context = useProofContext()
const blocks = computed(() =>
  context.value.figures.sections
    .filter((one) => one.page === 'home' && one.section !== 'strip')
    .flatMap(({ section }) => {
      const name = section.charAt(0).toUpperCase() + section.slice(1)
      const block = blocksByPath[`../blocks/${name}Block.vue`]
      return block ? [{ section, block }] : []
    }),
)
</script>

<template>
  <StripBlock />
  <PageHead />
  <main>
    <component :is="block" v-for="{ section, block } in blocks" :key="section" />
  </main>
  <PageFoot />
</template>
