<script setup lang="ts">
import FormField from '@/proof/FormField.vue'
import FormMessage from '@/proof/FormMessage.vue'
import PageFoot from '@/proof/PageFoot.vue'
import PageHead from '@/proof/PageHead.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'
</script>

<template>
  <PageHead call="Call us" />
  <main>
    <StandOn section="intro">
      <div class="wide pad stack">
        <PartOf name="Page’s heading" element="heading" as="h1" look="h1">Book a place</PartOf>
        <PartOf name="Page’s text" element="text" look="text" class="measure"
          >It takes two minutes. You pay when you are here, and you may cancel until noon of the
          day.</PartOf
        >
      </div>
    </StandOn>
    <StandOn section="fields">
      <form class="wide pad stack">
        <div class="fields">
          <FormField label="Your name" value="Maren Holt" />
          <FormField
            label="Mail"
            value="maren@"
            state="error"
            remark="Something is missing after the @."
          />
          <FormField
            label="How many of you"
            value="4"
            state="success"
            remark="There is room for four."
          />
          <FormField
            label="What we should know"
            placeholder="A wheelchair, a birthday …"
            state="focus"
          />
        </div>
        <div class="row">
          <PartButton name="Send button">Book the evening</PartButton>
          <span data-part="Disabled button" data-element="disabled" class="disabled uses-quiet-text"
            >Add a voucher</span
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
        <FormMessage element="success" name="Good news"
          >Your place is booked. We wrote to you.</FormMessage
        >
        <FormMessage element="warning" name="Caution"
          >Clouds are coming; look again in the afternoon.</FormMessage
        >
        <FormMessage element="error" name="Bad news"
          >That evening is full. The next one isn’t.</FormMessage
        >
        <FormMessage element="info" name="Note"
          >New: on Sundays we open an hour earlier.</FormMessage
        >
      </div>
    </StandOn>
  </main>
  <PageFoot />
</template>
