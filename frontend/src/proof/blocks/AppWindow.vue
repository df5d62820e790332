<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from '@/proof/context'
import PagePicture from '@/proof/PagePicture.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** A window of the software that the page sells, drawn with the page’s own parts. */
const context = useProofContext()
const board = computed(() => context.value.copy.dashboard)
const STATES = ['success', 'success', 'warning', 'info'] as const
</script>

<template>
  <div class="window">
    <StandOn as="div" ground="primary" class="window-bar">
      <PartOf name="Window’s title" element="text" as="span" look="small">{{
        board.heading
      }}</PartOf>
      <PartOf name="Window’s time" element="text" as="span" look="small" class="push">{{
        board.time
      }}</PartOf>
    </StandOn>
    <PagePicture name="Window’s picture" :scene="context.copy.home.opening.scene" own />
    <StandOn as="div" ground="mist" class="card stack">
      <ul class="window-rows">
        <li v-for="(one, row) in board.rows" :key="one[0]" class="row">
          <PartOf :name="`Window, ${one[0]}`" element="text" as="span" look="text">{{
            one[0]
          }}</PartOf>
          <PartOf
            :name="`Window, ${one[0]}, count`"
            element="text"
            as="b"
            look="text"
            class="push"
            >{{ one[1] }}</PartOf
          >
          <PartOf :name="`Window, ${one[0]}, mark`" :element="STATES[row] ?? 'info'" as="span"
            >●</PartOf
          >
        </li>
      </ul>
      <PartButton name="Window’s button">{{ board.add }}</PartButton>
    </StandOn>
  </div>
</template>
