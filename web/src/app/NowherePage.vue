<script setup lang="ts">
import { t } from '../words/index.ts';
</script>

<template>
  <main class="nowhere">
    <h1>{{ t('app.thereIsNoSuchPage') }}</h1>
    <RouterLink to="/floor">{{ t('app.toTheFloor') }}</RouterLink>
  </main>
</template>

<style scoped>
.nowhere {
  padding: 48px;
}
</style>
