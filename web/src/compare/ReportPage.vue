<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import type { ReportJson } from '@wergon/contract/compare';
import { formatCents } from '@wergon/core/money';
import { callRoute, linkToDay, sayLongDay, useDesk } from '../kit/index.ts';
import { DeskFrame, PlainTable, QueryState } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import { sayCount } from './figures.ts';
import OrderHead from './OrderHead.vue';

/** An order day by day, to be read and printed: for inside with names and cost, for the customer without. */
const desk = useDesk();
const route = useRoute();
const order = computed(() => String(route.params['order'] ?? ''));
const query = useQuery({
  queryKey: ['report', order],
  queryFn: () => callRoute('report', { params: { order: order.value } }),
});
const told = computed(() => query.data.value);
const isForCustomer = ref(false);
type Day = ReportJson['days'][number];
const notesOf = ({ notes }: Day) => notes.filter((note) => note.isForCustomer || !isForCustomer.value);
const sayPieces = (pieces: Day['tasks'][number]['pieces']) =>
  pieces === null ? '' : sayCount(isForCustomer.value ? { ...pieces, scrap: 0 } : pieces);
const print = () => window.print();
</script>

<template>
  <DeskFrame
    :title="told ? t('compare.reportOf', { number: told.number }) : ''"
    :lead="t('compare.reportLead')"
  >
    <QueryState
      v-if="!told"
      :is-pending="query.isPending.value"
      :error="query.error.value"
      @retry="query.refetch()"
    />
    <template v-else>
      <OrderHead :order="order" :title="told.title" :customer="told.customer">
        <BButton variant="quiet" :aria-pressed="isForCustomer" @click="isForCustomer = !isForCustomer">{{
          isForCustomer ? t('compare.forInside') : t('compare.forCustomerReport')
        }}</BButton>
        <BButton variant="quiet" @click="print">{{ t('common.print') }}</BButton>
      </OrderHead>
      <p v-if="told.days.length === 0" class="none">{{ t('compare.nothingRecordedYet') }}</p>
      <PlainTable v-else class="across">
        <thead>
          <tr>
            <th scope="col">{{ t('common.task') }}</th>
            <th v-if="!isForCustomer" scope="col">{{ t('compare.who') }}</th>
            <th scope="col" class="number">{{ t('compare.headsHead') }}</th>
            <th scope="col" class="number">{{ t('compare.manHours') }}</th>
            <th scope="col">{{ t('compare.piecesHead') }}</th>
            <th v-if="!isForCustomer" scope="col" class="number">{{ desk.costWords }}</th>
          </tr>
        </thead>
        <tbody v-for="day in told.days" :key="day.day">
          <tr class="day">
            <th scope="rowgroup">{{ sayLongDay(day.day) }}</th>
            <td v-if="!isForCustomer"></td>
            <td class="number figure">{{ day.heads }}</td>
            <td class="number figure">{{ desk.hours(day.seconds) }}</td>
            <td></td>
            <td v-if="!isForCustomer" class="number figure">{{ desk.money(formatCents(day.cost)) }}</td>
          </tr>
          <tr v-for="task in day.tasks" :key="task.id">
            <td class="inner">{{ task.position }} {{ task.title }}</td>
            <td v-if="!isForCustomer">
              <template v-for="(person, i) in task.people" :key="person.technician ?? ''"
                ><template v-if="i > 0">, </template
                ><RouterLink v-if="person.technician !== null" :to="linkToDay(person.technician, day.day)">{{
                  person.name
                }}</RouterLink
                ><template v-else>{{ t('compare.others') }}</template
                >{{ ' ' }}<span class="figure">{{ desk.hours(person.seconds) }}</span></template
              >
            </td>
            <td class="number figure">{{ task.heads }}</td>
            <td class="number figure">{{ desk.hours(task.seconds) }}</td>
            <td>{{ sayPieces(task.pieces) }}</td>
            <td v-if="!isForCustomer" class="number figure">{{ desk.money(formatCents(task.cost)) }}</td>
          </tr>
          <tr v-for="(note, i) in notesOf(day)" :key="`note ${i}`">
            <td class="inner" :colspan="isForCustomer ? 4 : 6">
              “{{ note.text }}”<template v-if="!isForCustomer && note.who !== ''"> {{ note.who }}</template>
            </td>
          </tr>
        </tbody>
        <tfoot>
          <tr class="day">
            <th scope="row">{{ t('compare.inAllHead') }}</th>
            <td v-if="!isForCustomer"></td>
            <td class="number figure">{{ told.total.heads }}</td>
            <td class="number figure">{{ desk.hours(told.total.seconds) }}</td>
            <td></td>
            <td v-if="!isForCustomer" class="number figure">
              {{ desk.money(formatCents(told.total.cost)) }}
            </td>
          </tr>
        </tfoot>
      </PlainTable>
    </template>
  </DeskFrame>
</template>

<style scoped>
.day th,
.day td {
  background: var(--band);
  font-weight: 700;
}
td.inner {
  padding-left: 26px;
}
.none {
  margin: 0;
  padding: 12px 16px;
}
</style>
