<template>
  <!-- What opens a menu of verbs. -->
  <svg viewBox="0 0 12 12" class="h-3 w-3" aria-hidden="true">
    <path d="M0 5h2v2H0zM5 5h2v2H5zM10 5h2v2h-2z" fill="currentColor" />
  </svg>
</template>
