<template>
  <RouterLink
    to="/"
    aria-label="Tonada: all brands"
    class="inline-flex items-start py-1 text-[19px] leading-none font-bold tracking-tight"
    >Tonada<span class="mt-0.5 ml-0.5 h-2 w-2 rounded-full bg-ink" aria-hidden="true"></span
  ></RouterLink>
</template>
