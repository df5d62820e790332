<template>
  <RouterLink
    to="/"
    class="inline-flex items-start text-[19px] leading-none font-bold tracking-tight"
  >
    Tonada<span class="mt-0.5 ml-0.5 h-2 w-2 rounded-full bg-ink" aria-hidden="true"></span>
    <span class="sr-only">, all brands</span>
  </RouterLink>
</template>
