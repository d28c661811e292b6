<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { callRoute, useDesk } from '../kit/index.ts';
import { DeskFrame, QueryState } from '../kit/parts/index.ts';
import { sayWhen } from './sayWhen.ts';
import { t } from '../words/index.ts';

/** The demo's own mail box: what would have left the shop. */
const desk = useDesk();
const query = useQuery({ queryKey: ['mails'], queryFn: () => callRoute('mails') });
</script>

<template>
  <DeskFrame :lead="t('work.theDemoSendsNothing')" :title="t('work.mailBox')">
    <QueryState
      v-if="!query.data.value"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <p v-else-if="query.data.value.mails.length === 0" class="none">{{ t('work.noMailYet') }}</p>
    <ul v-else>
      <li v-for="mail in query.data.value.mails" :key="mail.id">
        <p>
          <b>{{ mail.subject }}</b> {{ t('work.toAt', { to: mail.to, day: sayWhen(desk.zone, mail.at) }) }}
          <RouterLink :to="{ name: 'offer', params: { order: mail.order, offer: mail.offer } }">{{
            t('work.theOfferWithIt')
          }}</RouterLink>
        </p>
        <p class="text">{{ mail.text }}</p>
      </li>
    </ul>
  </DeskFrame>
</template>

<style scoped>
.none {
  margin: 0;
  padding: 14px 16px;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  padding: 10px 16px;
  border-bottom: 1px solid var(--line);
}
p {
  margin: 0;
}
.text {
  max-width: 70ch;
  margin-top: 6px;
  white-space: pre-line;
}
</style>
