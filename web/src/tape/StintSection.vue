<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { PersonDayJson } from '@wergon/contract/tape';
import type { Instant, Zone } from '@wergon/core/time';
import { sayClock, sayDay, useDesk } from '../kit/index.ts';
import type { TapeBlock } from './usePersonDay.ts';

/** The day as a list of starts and stops, with what was written down behind it. */
const props = defineProps<{
  blocks: readonly TapeBlock[];
  /** The beginning of the block that is being edited. */
  taken: Instant | null;
  told: PersonDayJson;
  mayEdit: boolean;
  zone: Zone;
}>();
const emit = defineEmits<{ take: [block: TapeBlock]; add: [] }>();
const desk = useDesk();
const clock = (at: Instant) => sayClock(props.zone, at);
</script>

<template>
  <section class="day-part">
    <h2>Starts and stops</h2>
    <table class="across">
      <thead>
        <tr>
          <th scope="col">From</th>
          <th scope="col">To</th>
          <th scope="col" class="number">Length</th>
          <th scope="col">Work</th>
          <th scope="col">Kind</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="block in blocks" :key="block.key" :class="{ taken: taken === block.from }">
          <td class="figure">{{ clock(block.from) }}</td>
          <td class="figure" :class="{ attention: block.stint.isTorn }">
            {{ block.stint.isTorn ? 'no stop' : block.stint.isOpen ? 'now' : clock(block.to) }}
          </td>
          <td class="figure number">{{ desk.hours(block.to - block.from) }}</td>
          <td>{{ block.stint.running.map(({ title }) => title).join(' and ') }}</td>
          <td>{{ block.stint.running[0]?.workType }}</td>
          <td class="acts-cell">
            <BButton
              v-if="mayEdit"
              variant="quiet"
              size="sm"
              :aria-label="`Change ${block.stint.running[0]?.title ?? ''} from ${clock(block.from)}`"
              @click="emit('take', block)"
            >
              Change
            </BButton>
          </td>
        </tr>
        <tr v-for="each in told.hours" :key="each.id">
          <td colspan="2" class="quiet">written down</td>
          <td class="figure number">{{ desk.hours(each.seconds) }}</td>
          <td>{{ each.title }}</td>
          <td>{{ each.workType }}</td>
          <td class="acts-cell">
            <RouterLink
              :to="{ name: 'week', params: { technician: told.technician, day: told.day } }"
              class="btn btn-quiet btn-sm"
              >In the week</RouterLink
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="blocks.length === 0 && told.hours.length === 0" class="quiet none">
      Nothing is recorded of {{ told.name }} on {{ sayDay(told.day) }}.
    </p>
    <div v-if="mayEdit" class="acts">
      <BButton variant="quiet" size="sm" @click="emit('add')">Add a stretch</BButton>
    </div>
  </section>
</template>
