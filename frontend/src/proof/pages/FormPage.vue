<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from '@/proof/context'
import FormField from '@/proof/FormField.vue'
import FormMessage from '@/proof/FormMessage.vue'
import PageFoot from '@/proof/PageFoot.vue'
import PageHead from '@/proof/PageHead.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

const context = useProofContext()
const form = computed(() => context.value.copy.form)
const SIGNALS = [
  ['success', 'Good news'],
  ['warning', 'Caution'],
  ['error', 'Bad news'],
  ['info', 'Note'],
] as const
</script>

<template>
  <PageHead />
  <main>
    <StandOn section="intro">
      <div class="wide pad stack">
        <PartOf name="Page’s heading" element="heading" as="h1" look="h1">{{
          form.heading
        }}</PartOf>
        <PartOf name="Page’s text" element="text" look="text" class="measure">{{
          form.text
        }}</PartOf>
      </div>
    </StandOn>
    <StandOn section="fields">
      <form class="wide pad stack">
        <div class="fields">
          <FormField label="Your name" value="Maren Holt" />
          <FormField
            label="Email"
            value="maren@"
            state="error"
            remark="Something is missing after the @."
          />
          <FormField :label="form.count" value="4" state="success" :remark="form.enough" />
          <FormField :label="form.wish" :placeholder="form.example" state="focus" />
        </div>
        <div class="row">
          <PartButton name="Send button">{{ form.button }}</PartButton>
          <span
            data-part="Disabled button"
            data-element="disabled"
            class="disabled uses-quiet-text"
            >{{ form.second }}</span
          >
          <PartOf name="Form’s link" element="link" as="a" look="text" href="#">Start again</PartOf>
        </div>
      </form>
    </StandOn>
    <StandOn section="messages">
      <div class="wide pad stack">
        <PartOf name="Messages’ heading" element="heading" as="h2" look="h2"
          >What you may hear from us</PartOf
        >
        <FormMessage
          v-for="([element, name], row) in SIGNALS"
          :key="name"
          :element="element"
          :name="name"
          >{{ form.messages[row] }}</FormMessage
        >
      </div>
    </StandOn>
  </main>
  <PageFoot />
</template>
