<script setup lang="ts">
import { useProofContext } from './context'
import PartOf from './PartOf.vue'
import StandOn from './StandOn.vue'

const context = useProofContext()
</script>

<template>
  <StandOn section="foot" as="footer">
    <div class="wide pad">
      <div class="columns">
        <div class="stack">
          <PartOf name="Foot’s heading" element="heading" as="h2" look="h3">{{
            context.brand
          }}</PartOf>
          <PartOf name="Foot’s text" element="text" look="text"
            >Open from Wednesday to Sunday, and on clear nights whenever you ring.</PartOf
          >
        </div>
        <div class="stack">
          <PartOf name="Foot’s link" element="link" as="a" look="text" href="#"
            >How to find us</PartOf
          >
          <p>
            <PartOf name="Foot’s second link" element="link" as="a" look="text" href="#"
              >Vouchers</PartOf
            >
          </p>
        </div>
        <PartOf name="Foot’s small print" element="quiet text" look="small"
          >We answer within a day. No newsletter unless you ask for one.</PartOf
        >
      </div>
    </div>
  </StandOn>
</template>
