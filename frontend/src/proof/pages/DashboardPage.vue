<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from '@/proof/context'
import BrandMark from '@/proof/BrandMark.vue'
import BarChart from '@/proof/BarChart.vue'
import LineChart from '@/proof/LineChart.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

const context = useProofContext()
const board = computed(() => context.value.copy.dashboard)
const FIGURE_SIGNALS = ['success', 'warning', 'error'] as const
const ROW_SIGNALS = ['success', 'success', 'warning', 'info'] as const
</script>

<template>
  <StandOn section="head" as="header">
    <div class="wide tight row">
      <BrandMark />
      <PartOf name="Head’s text" element="text" as="span" look="text" class="push wide-only">{{
        board.time
      }}</PartOf>
      <PartButton name="Head’s button">{{ board.add }}</PartButton>
    </div>
  </StandOn>
  <main>
    <StandOn section="figures">
      <div class="wide board-top stack">
        <PartOf name="Page’s heading" element="heading" as="h1" look="h2">{{
          board.heading
        }}</PartOf>
        <div class="columns">
          <StandOn v-for="(one, row) in board.figures" :key="one.title" as="div" class="card stack">
            <PartOf :name="one.title" element="quiet text" look="small">{{ one.title }}</PartOf>
            <PartOf :name="`${one.title}, figure`" element="heading" look="h1">{{
              one.value
            }}</PartOf>
            <p>
              <PartOf
                :name="`${one.title}, mark`"
                :element="FIGURE_SIGNALS[row] ?? 'info'"
                as="span"
                class="mark"
                >■</PartOf
              >
              <PartOf :name="`${one.title}, change`" element="text" as="span" look="small">
                {{ one.change }}</PartOf
              >
            </p>
          </StandOn>
        </div>
      </div>
    </StandOn>
    <StandOn section="charts">
      <div class="wide tight halves even">
        <StandOn as="div" class="card"><LineChart /></StandOn>
        <StandOn as="div" class="card"><BarChart /></StandOn>
      </div>
    </StandOn>
    <StandOn section="table">
      <div class="wide pad stack">
        <PartOf name="Table’s heading" element="heading" as="h2" look="h3">{{
          board.table
        }}</PartOf>
        <table :aria-label="board.table">
          <PartOf name="Table’s lines" element="line" as="thead" class="lines">
            <tr>
              <PartOf name="First column" element="quiet text" as="th" look="small" scope="col">{{
                board.columns[0]
              }}</PartOf>
              <PartOf
                name="Second column"
                element="quiet text"
                as="th"
                look="small"
                scope="col"
                class="number"
                >{{ board.columns[1] }}</PartOf
              >
              <PartOf name="Third column" element="quiet text" as="th" look="small" scope="col">{{
                board.columns[2]
              }}</PartOf>
            </tr>
          </PartOf>
          <tbody>
            <tr v-for="([first, count, state], row) in board.rows" :key="first">
              <td>
                <PartOf :name="first" element="link" as="a" look="text" href="#">{{
                  first
                }}</PartOf>
              </td>
              <PartOf :name="`${first}, count`" element="text" as="td" look="text" class="number">{{
                count
              }}</PartOf>
              <td>
                <PartOf
                  :name="`${first}, mark`"
                  :element="ROW_SIGNALS[row] ?? 'info'"
                  as="span"
                  class="mark"
                  >■</PartOf
                >
                <PartOf :name="`${first}, state`" element="text" as="span" look="text">
                  {{ state }}</PartOf
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </StandOn>
  </main>
</template>
