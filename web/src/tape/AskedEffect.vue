<script setup lang="ts">
import type { EffectJson } from '@wergon/contract/loose-ends';
import { EffectView } from '../loose-ends/index.ts';
import { t } from '../words/index.ts';

/** What an edit would do, why it cannot be made, or that the server is being asked. */
defineProps<{ effect: EffectJson | undefined; refusal: string; isLooking: boolean }>();
</script>

<template>
  <div class="effect">
    <p v-if="refusal" class="attention" role="alert">{{ refusal }}</p>
    <EffectView v-else-if="effect" :effect="effect" />
    <p v-else-if="isLooking" class="quiet">{{ t('tape.lookingWhatItWouldDo') }}</p>
  </div>
</template>

<style scoped>
.effect {
  max-width: 1100px;
}
p {
  margin: 4px 0;
}
</style>
