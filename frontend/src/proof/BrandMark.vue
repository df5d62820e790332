<script setup lang="ts">
import { computed } from 'vue'
import { useGround, useProofContext } from './context'
import { maskOn } from './logo'
import PartOf from './PartOf.vue'

/** Where it stands, on a page that shows it more than once. */
const props = defineProps<{ place?: string }>()
const named = (name: string) => (props.place ? `${name} on ${props.place}` : name)
const context = useProofContext()
const ground = useGround()
/** Through its shape the ground’s own text colour is seen: that one reads here. */
const mask = computed(() => maskOn(context.value.figures, ground?.value?.id, props.place))
</script>

<template>
  <!-- A logotype needs no ratio by 1.4.3, and what colours it has are its own. -->
  <span
    v-if="context.logo && mask"
    role="img"
    :aria-label="context.brand"
    class="logo in-one"
    :data-part="named('Logo')"
    data-element="logotype"
    :style="{ maskImage: `url(${mask})` }"
    ><img :src="mask" alt="" class="logo"
  /></span>
  <img
    v-else-if="context.logo"
    :src="context.logo"
    :alt="context.brand"
    class="logo"
    :data-part="named('Logo')"
    data-element="logotype"
  />
  <PartOf v-else :name="named('Brand’s name')" element="heading" as="span" look="h3" class="name">{{
    context.brand
  }}</PartOf>
</template>
