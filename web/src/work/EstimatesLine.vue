<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { callRoute, useDesk } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** Whether an estimate waits for the shop or for a customer; nothing where the shop makes no offers. */
const desk = useDesk();
const query = useQuery({
  queryKey: ['estimates'],
  queryFn: () => callRoute('estimates'),
  enabled: computed(() => desk.session?.makesOffers === true),
});
const all = computed(() => query.data.value?.estimates ?? []);
const asked = computed(() => all.value.filter(({ state }) => state === 'asked'));
const offered = computed(() => all.value.filter(({ state }) => state === 'offered'));
</script>

<template>
  <RouterLink v-if="desk.session?.makesOffers" :to="{ name: 'estimates' }" class="estimates">
    <template v-if="asked.length > 0">{{
      t('work.estimatesAskedFor', { n: asked.length })
    }}</template><template v-if="asked.length > 0 && offered.length > 0">, </template
    ><template v-if="offered.length > 0">{{ t('work.offersOut', { n: offered.length }) }}</template
    ><template v-if="asked.length + offered.length === 0">{{ t('work.estimates') }}</template>
  </RouterLink>
</template>

<style scoped>
.estimates {
  align-self: center;
  font-size: var(--text-m);
}
</style>
