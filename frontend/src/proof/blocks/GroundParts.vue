<script setup lang="ts">
import FormField from '@/proof/FormField.vue'
import { useProofContext } from '@/proof/context'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** Every part on one ground: headings, links, navigation, buttons, fields, signals, lines. */
defineProps<{ section: string; name: string }>()
const context = useProofContext()
const SIGNALS = ['success', 'warning', 'error', 'info'] as const
</script>

<template>
  <StandOn :section="section">
    <div class="wide pad ground-parts">
      <div class="stack">
        <PartOf :name="`${name}: heading`" element="heading" as="h2" look="h2">{{ name }}</PartOf>
        <p>
          <PartOf :name="`${name}: text`" element="text" as="span" look="text">{{
            context.copy.foot.text
          }}</PartOf>{{ ' ' }}
          <PartOf :name="`${name}: link`" element="link" as="a" look="text" href="#">{{
            context.copy.foot.links[0]
          }}</PartOf>
        </p>
        <PartOf :name="`${name}: quiet text`" element="quiet text" look="small">{{
          context.copy.foot.small
        }}</PartOf>
        <PartOf :name="`${name}: line`" element="line" as="hr" class="rule" />
        <nav class="row" :aria-label="`On ${name}`">
          <PartOf
            v-for="(page, row) in context.copy.navigation"
            :key="page"
            :name="`${name}: navigation ${row + 1}`"
            element="text"
            as="a"
            look="text"
            href="#"
            :aria-current="row === 0 ? 'page' : undefined"
            >{{ page }}</PartOf
          >
        </nav>
      </div>
      <div class="stack">
        <div class="row actions">
          <PartButton :name="`${name}: button`">{{ context.copy.call }}</PartButton>
          <PartOf :name="`${name}: focus ring`" element="focus ring" as="span" class="ringed"
            ><PartButton :name="`${name}: button in focus`">{{
              context.copy.call
            }}</PartButton></PartOf
          >
          <PartOf
            :name="`${name}: second button`"
            element="text"
            as="a"
            look="label"
            class="button outlined"
            href="#"
            >{{ context.copy.home.opening.second ?? context.copy.navigation[1] }}</PartOf
          >
          <span
            :data-part="`${name}: disabled`"
            data-element="disabled"
            class="disabled uses-quiet-text"
            >{{ context.copy.form.second }}</span
          >
        </div>
        <FormField
          :label="`${context.copy.form.wish}, on ${name}`"
          :placeholder="context.copy.form.example"
        />
        <ul>
          <li v-for="(signal, row) in SIGNALS" :key="signal">
            <PartOf :name="`${name}: ${signal}`" :element="signal" as="span" class="mark">■</PartOf>
            <PartOf :name="`${name}: ${signal}, text`" element="text" as="span" look="text">{{
              context.copy.form.messages[row]
            }}</PartOf>
          </li>
        </ul>
      </div>
    </div>
  </StandOn>
</template>
