<script setup lang="ts">
// A table of a few fixed rows; lists are drawn by DataTable.
</script>

<template>
  <table>
    <slot />
  </table>
</template>
