<script setup lang="ts">
/** Words in one line, marked where they are cut; whole where they are pointed at or have the focus. */
defineProps<{ text: string }>();
</script>

<template>
  <span class="long-text" tabindex="0">{{ text }}</span>
</template>

<style scoped>
.long-text {
  display: inline-block;
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  vertical-align: bottom;
  white-space: nowrap;
}
.long-text:focus,
.long-text:hover {
  overflow: visible;
  text-overflow: clip;
  white-space: pre-wrap;
}
</style>
