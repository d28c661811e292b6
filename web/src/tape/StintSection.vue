<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import type { PersonDayJson } from '@wergon/contract/tape';
import type { Instant, Zone } from '@wergon/core/time';
import { sayClock, sayDay, useDesk } from '../kit/index.ts';
import type { TapeBlock } from './usePersonDay.ts';
import { sayList, sayTerm, t } from '../words/index.ts';

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
    <h2>{{ t('tape.startsAndStops') }}</h2>
    <table class="across">
      <thead>
        <tr>
          <th scope="col">{{ t('common.from') }}</th>
          <th scope="col">{{ t('tape.to') }}</th>
          <th scope="col" class="number">{{ t('tape.length') }}</th>
          <th scope="col">{{ t('common.work') }}</th>
          <th scope="col">{{ t('common.kind') }}</th>
          <td></td>
        </tr>
      </thead>
      <tbody>
        <tr v-for="block in blocks" :key="block.key" :class="{ taken: taken === block.from }">
          <td class="figure">{{ clock(block.from) }}</td>
          <td class="figure" :class="{ attention: block.stint.isTorn }">
            {{
              block.stint.isTorn ? t('tape.noStop') : block.stint.isOpen ? t('common.now') : clock(block.to)
            }}
          </td>
          <td class="figure number">{{ desk.hours(block.to - block.from) }}</td>
          <td>{{ sayList(block.stint.running.map(({ title }) => title)) }}</td>
          <td>{{ sayTerm('workTypes', block.stint.running[0]?.workType ?? '') }}</td>
          <td class="acts-cell">
            <BButton
              v-if="mayEdit"
              variant="quiet"
              size="sm"
              :aria-label="
                t('tape.changeFrom', { title: block.stint.running[0]?.title ?? '', time: clock(block.from) })
              "
              @click="emit('take', block)"
            >
              {{ t('common.change') }}
            </BButton>
          </td>
        </tr>
        <tr v-for="each in told.hours" :key="each.id">
          <td colspan="2" class="quiet">{{ t('common.writtenDown') }}</td>
          <td class="figure number">{{ desk.hours(each.seconds) }}</td>
          <td>{{ each.title }}</td>
          <td>{{ t(`workTypes.${each.workType}`) }}</td>
          <td class="acts-cell">
            <RouterLink
              :to="{ name: 'week', params: { technician: told.technician, day: told.day } }"
              class="btn btn-quiet btn-sm"
              >{{ t('tape.inTheWeek') }}</RouterLink
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="blocks.length === 0 && told.hours.length === 0" class="quiet none">
      {{ t('tape.nothingIsRecordedOfOn', { name: told.name, day: sayDay(told.day) }) }}
    </p>
    <div v-if="mayEdit" class="acts">
      <BButton variant="quiet" size="sm" @click="emit('add')">{{ t('tape.addAStretch') }}</BButton>
    </div>
  </section>
</template>
