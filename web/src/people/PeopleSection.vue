<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, reactive, ref } from 'vue';
import { formatDay } from '@wergon/core/time';
import { callRoute } from '../desk/callRoute.ts';
import { sayDate } from '../desk/dates.ts';
import { useDesk } from '../desk/useDesk.ts';
import { useNow } from '../desk/useNow.ts';
import { useAct } from '../shop/useAct.ts';

const desk = useDesk();
const now = useNow();
const { data } = useQuery({ queryKey: ['people'], queryFn: () => callRoute('people') });
const { act, problem, isBusy } = useAct();
const person = reactive({ number: '', name: '', department: '' });
const grade = reactive({ name: '', standardRate: '' });
/** The technician whose rate is being written, and the rate: base per hour from a day on. */
const rateOf = ref<string | null>(null);
const rate = reactive({ from: '', base: '', percent: '' });
const today = computed(() => (desk.zone ? formatDay(desk.zone.dayAt(now.value)) : ''));

async function addPerson(): Promise<void> {
  const made = await act(() => callRoute('addTechnician', { body: { ...person } }));
  if (made) Object.assign(person, { number: '', name: '', department: person.department });
}
async function addGrade(): Promise<void> {
  const made = await act(() => callRoute('addGrade', { body: { ...grade } }));
  if (made) Object.assign(grade, { name: '', standardRate: '' });
}
function openRate(technician: string): void {
  rateOf.value = technician;
  Object.assign(rate, { from: today.value, base: '', percent: '' });
}
async function addRate(technician: string): Promise<void> {
  const { from, base, percent } = rate;
  const burden = percent === '' ? [] : [{ kind: 'percent' as const, value: percent }];
  const made = await act(() =>
    callRoute('addRate', { params: { technician }, body: { record: { from, per: 'hour', base, burden } } }),
  );
  if (made) rateOf.value = null;
}
const leave = (technician: string, leftOn: string | null) =>
  act(() => callRoute('leave', { params: { technician }, body: { leftOn } }));
</script>

<template>
  <section>
    <h2>People</h2>
    <table v-if="data && data.technicians.length > 0">
      <thead>
        <tr>
          <th scope="col">Number</th>
          <th scope="col">Name</th>
          <th scope="col">Department</th>
          <th scope="col">Badge</th>
          <th scope="col">Cost rate</th>
          <th scope="col">Works here</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in data.technicians" :key="each.id">
          <td class="mono">{{ each.number }}</td>
          <td>{{ each.name }}</td>
          <td>{{ each.department }}</td>
          <td class="mono">{{ each.badges.map(({ code }) => code).join(' ') }}</td>
          <td>
            <form v-if="rateOf === each.id" class="add rate" @submit.prevent="addRate(each.id)">
              <BFormInput v-model="rate.from" type="date" aria-label="From" required />
              <BFormInput
                v-model="rate.base"
                inputmode="decimal"
                placeholder="Base per hour"
                aria-label="Base per hour"
                required
              />
              <BFormInput
                v-model="rate.percent"
                inputmode="decimal"
                placeholder="Burden %"
                aria-label="Burden in percent"
              />
              <BButton type="submit" size="sm" variant="primary" :disabled="isBusy">Save rate</BButton>
            </form>
            <template v-else>
              <span :class="{ attention: !each.hasRate }">{{ each.hasRate ? 'set' : 'none today' }}</span>
              <button
                v-if="desk.may('rates.see')"
                type="button"
                class="btn btn-quiet btn-sm"
                @click="openRate(each.id)"
              >
                New rate
              </button>
            </template>
          </td>
          <td>
            {{ each.leftOn ? `until ${sayDate(each.leftOn)}` : 'yes' }}
            <button
              v-if="desk.may('people.change')"
              type="button"
              class="btn btn-quiet btn-sm"
              @click="leave(each.id, each.leftOn ? null : today)"
            >
              {{ each.leftOn ? 'Is back' : 'Leaves today' }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="data" class="quiet">Nobody yet. A badge with a code is made for everybody you add.</p>
    <form v-if="desk.may('people.change')" class="add" @submit.prevent="addPerson">
      <BFormInput v-model="person.number" placeholder="Number" aria-label="Number" required />
      <BFormInput v-model="person.name" placeholder="Name" aria-label="Name" required />
      <BFormInput v-model="person.department" placeholder="Department" aria-label="Department" />
      <BButton type="submit" variant="primary" :disabled="isBusy">Add person</BButton>
    </form>
    <h2>Grades</h2>
    <p>
      {{
        data?.grades.map(({ name }) => name).join(', ') ||
        'No grade yet: tasks need one for their estimated cost.'
      }}
    </p>
    <form v-if="desk.may('rates.see')" class="add" @submit.prevent="addGrade">
      <BFormInput v-model="grade.name" placeholder="Grade" aria-label="Grade" required />
      <BFormInput
        v-model="grade.standardRate"
        inputmode="decimal"
        placeholder="Standard rate per hour"
        aria-label="Standard rate per hour"
        required
      />
      <BButton type="submit" variant="primary" :disabled="isBusy">Add grade</BButton>
    </form>
    <p class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.rate {
  margin: 0;
}
</style>
