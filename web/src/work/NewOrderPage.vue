<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { reactive, ref } from 'vue';
import { onBeforeRouteLeave, useRouter } from 'vue-router';
import { WORK_TYPES } from '@wergon/core/work';
import type { WorkType } from '@wergon/core/work';
import { callRoute, wordsOf } from '../desk/callRoute.ts';

const router = useRouter();
const queries = useQueryClient();
const people = useQuery({ queryKey: ['people'], queryFn: () => callRoute('people') });
const newTask = () => ({
  title: '',
  workCenter: '',
  grade: '',
  setupHours: '',
  runHours: '',
  runHoursPerPiece: '',
});
const form = reactive({ number: '', title: '', customer: '', quantity: 1, due: '' });
const includes = ref<WorkType[]>(['setup', 'run', 'rework', 'cleanup']);
const tasks = reactive([newTask()]);
const problem = ref('');
const isBusy = ref(false);
let isSaved = false;

const HOURS = [
  { field: 'setupHours', word: 'Setup hours' },
  { field: 'runHours', word: 'Run hours' },
  { field: 'runHoursPerPiece', word: 'Hours per piece' },
] as const;
/** An empty field is no estimate; a comma is read as a point. */
const given = (text: string) => text.trim().replace(',', '.');

async function save(): Promise<void> {
  isBusy.value = true;
  problem.value = '';
  try {
    const { id } = await callRoute('addOrder', {
      body: {
        ...form,
        quantity: Number(form.quantity),
        due: form.due === '' ? null : form.due,
        estimateIncludes: includes.value,
        tasks: tasks.map(({ title, workCenter, grade, ...hours }) => ({
          title,
          workCenter,
          grade,
          ...Object.fromEntries(
            Object.entries(hours).flatMap(([field, text]) =>
              given(text) === '' ? [] : [[field, given(text)]],
            ),
          ),
        })),
      },
    });
    isSaved = true;
    await queries.invalidateQueries();
    await router.push({ name: 'order', params: { order: id } });
  } catch (error) {
    problem.value = wordsOf(error);
  } finally {
    isBusy.value = false;
  }
}

onBeforeRouteLeave(() => {
  const isTouched = form.number !== '' || form.title !== '' || tasks.some(({ title }) => title !== '');
  return isSaved || !isTouched || window.confirm('Leave without saving this order?');
});
</script>

<template>
  <main class="new-order">
    <h1>New work order</h1>
    <form @submit.prevent="save">
      <div class="fields">
        <div>
          <label for="number">Number</label
          ><BFormInput id="number" v-model="form.number" required autofocus />
        </div>
        <div class="wide">
          <label for="title">What is done</label><BFormInput id="title" v-model="form.title" required />
        </div>
        <div>
          <label for="customer">Customer</label><BFormInput id="customer" v-model="form.customer" required />
        </div>
        <div>
          <label for="quantity">Pieces</label
          ><BFormInput id="quantity" v-model="form.quantity" type="number" min="0" required />
        </div>
        <div><label for="due">Due</label><BFormInput id="due" v-model="form.due" type="date" /></div>
      </div>
      <fieldset>
        <legend>The estimate includes</legend>
        <label v-for="workType in WORK_TYPES" :key="workType" class="check">
          <input
            v-model="includes"
            type="checkbox"
            :value="workType"
            :disabled="workType === 'run' || workType === 'rework'"
          />
          {{ workType }}
        </label>
      </fieldset>
      <table>
        <thead>
          <tr>
            <th scope="col">Task</th>
            <th scope="col">Work center</th>
            <th scope="col">Grade</th>
            <th v-for="{ word } in HOURS" :key="word" scope="col">{{ word }}</th>
            <td></td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(task, i) in tasks" :key="i">
            <td><BFormInput v-model="task.title" :aria-label="`Task ${i + 1}`" required /></td>
            <td><BFormInput v-model="task.workCenter" :aria-label="`Work center of task ${i + 1}`" /></td>
            <td>
              <select
                v-model="task.grade"
                class="form-select"
                :aria-label="`Grade of task ${i + 1}`"
                required
              >
                <option v-for="grade in people.data.value?.grades ?? []" :key="grade.id" :value="grade.id">
                  {{ grade.name }}
                </option>
              </select>
            </td>
            <td v-for="{ field, word } in HOURS" :key="field">
              <BFormInput
                v-model="task[field]"
                class="figure hours"
                inputmode="decimal"
                :aria-label="`${word} of task ${i + 1}`"
              />
            </td>
            <td>
              <button v-if="tasks.length > 1" type="button" class="btn btn-quiet" @click="tasks.splice(i, 1)">
                Remove
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="people.data.value?.grades.length === 0" class="attention">
        Tasks need a grade for their cost. <RouterLink to="/shop">Add one in Shop.</RouterLink>
      </p>
      <p class="attention" role="alert">{{ problem }}</p>
      <div class="acts">
        <button type="button" class="btn btn-quiet" @click="tasks.push(newTask())">Add a task</button>
        <BButton type="submit" variant="primary" :disabled="isBusy">{{
          isBusy ? 'Saving…' : 'Save as draft'
        }}</BButton>
        <RouterLink :to="{ name: 'work' }" class="btn btn-quiet">Back</RouterLink>
      </div>
    </form>
  </main>
</template>

<style scoped>
.new-order {
  padding: 16px;
  overflow: auto;
}
h1 {
  font-size: 24px;
  font-weight: 700;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 12px;
  max-width: 1100px;
}
.wide {
  grid-column: span 2;
}
label,
legend {
  font-size: 15px;
  font-weight: 600;
}
fieldset {
  margin: 16px 0;
}
.check {
  margin-right: 16px;
  font-weight: 400;
}
td,
th {
  padding: 4px 8px 4px 0;
  font-size: 14px;
}
.hours {
  max-width: 11ch;
}
.acts {
  display: flex;
  gap: 8px;
}
p[role='alert'] {
  min-height: 1.5em;
  margin: 8px 0;
}
</style>
