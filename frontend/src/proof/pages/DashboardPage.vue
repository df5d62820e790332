<script setup lang="ts">
import BrandMark from '@/proof/BrandMark.vue'
import BarChart from '@/proof/BarChart.vue'
import LineChart from '@/proof/LineChart.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

const FIGURES = [
  { title: 'Guests this week', value: '412', change: '31 more than last week', element: 'success' },
  { title: 'Places left on Saturday', value: '6', change: 'nearly full', element: 'warning' },
  { title: 'Cancelled', value: '19', change: 'twice the usual number', element: 'error' },
] as const
const VISITS = [
  { day: 'Wednesday', guests: '58', state: 'Done', element: 'success' },
  { day: 'Thursday', guests: '74', state: 'Done', element: 'success' },
  { day: 'Friday', guests: '96', state: 'Waiting for the weather', element: 'warning' },
  { day: 'Saturday', guests: '120', state: 'New: two groups', element: 'info' },
] as const
</script>

<template>
  <StandOn section="head" as="header">
    <div class="wide tight row">
      <BrandMark />
      <PartOf name="Head’s text" element="text" as="span" look="text" class="push wide-only"
        >Week 38</PartOf
      >
      <PartButton name="Head’s button">Add a visit</PartButton>
    </div>
  </StandOn>
  <main>
    <StandOn section="figures">
      <div class="wide tight stack">
        <PartOf name="Page’s heading" element="heading" as="h1" look="h2">How the week goes</PartOf>
        <div class="columns">
          <StandOn v-for="one in FIGURES" :key="one.title" as="div" class="card stack">
            <PartOf :name="one.title" element="quiet text" look="small">{{ one.title }}</PartOf>
            <PartOf :name="`${one.title}, figure`" element="heading" look="h1">{{
              one.value
            }}</PartOf>
            <p>
              <PartOf :name="`${one.title}, mark`" :element="one.element" as="span" class="mark"
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
        <PartOf name="Table’s heading" element="heading" as="h2" look="h3">Visits</PartOf>
        <table aria-label="Visits">
          <PartOf name="Table’s lines" element="line" as="thead" class="lines">
            <tr>
              <PartOf name="First column" element="quiet text" as="th" look="small" scope="col"
                >Day</PartOf
              >
              <PartOf
                name="Second column"
                element="quiet text"
                as="th"
                look="small"
                scope="col"
                class="number"
                >Guests</PartOf
              >
              <PartOf name="Third column" element="quiet text" as="th" look="small" scope="col"
                >State</PartOf
              >
            </tr>
          </PartOf>
          <tbody>
            <tr v-for="one in VISITS" :key="one.day">
              <td>
                <PartOf :name="one.day" element="link" as="a" look="text" href="#">{{
                  one.day
                }}</PartOf>
              </td>
              <PartOf
                :name="`${one.day}, guests`"
                element="text"
                as="td"
                look="text"
                class="number"
                >{{ one.guests }}</PartOf
              >
              <td>
                <PartOf :name="`${one.day}, mark`" :element="one.element" as="span" class="mark"
                  >■</PartOf
                >
                <PartOf :name="`${one.day}, state`" element="text" as="span" look="text">
                  {{ one.state }}</PartOf
                >
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </StandOn>
  </main>
</template>
