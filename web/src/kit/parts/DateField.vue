<script setup lang="ts">
import { VueDatePicker } from '@vuepic/vue-datepicker';
import '@vuepic/vue-datepicker/dist/main.css';
import { de } from 'date-fns/locale/de';
import { enGB } from 'date-fns/locale/en-GB';
import { computed } from 'vue';
import { formatDay, parseDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { dayOf, readDateText } from '../dateText.ts';
import { sayLongDay } from '../dates.ts';
import { useToday } from '../useToday.ts';
import { currentLanguage, t } from '../../words/index.ts';

/** A day in the shop's own form, typed or picked; empty for none. */
const props = defineProps<{
  id?: string;
  label?: string;
  required?: boolean;
  disabled?: boolean;
  isSmall?: boolean;
}>();
const day = defineModel<string>({ required: true });
const today = useToday();
const locale = { en: enGB, de }[currentLanguage()];

/** The picker speaks of days as the browser's own midnights. */
const toDate = (of: LocalDay) => new Date(`${formatDay(of)}T00:00:00`);
const fromDate = (date: Date) => dayOf(date.getFullYear(), date.getMonth() + 1, date.getDate());
const picked = computed({
  get: () => {
    const read = parseDay(day.value);
    return read.ok ? toDate(read.value) : null;
  },
  set: (date: Date | null) => {
    const chosen = date ? fromDate(date) : undefined;
    day.value = chosen === undefined ? '' : formatDay(chosen);
  },
});
const formats = {
  input: (date: Date) => {
    const chosen = fromDate(date);
    return chosen === undefined ? '' : sayLongDay(chosen);
  },
};
const textInput = {
  format: (text: string) => {
    const read = readDateText(text, today.value);
    return read === undefined ? null : toDate(read);
  },
  applyOnBlur: true,
  selectOnFocus: true,
  openMenu: 'open',
} as const;
/** The shop's today, which need not be the browser's. */
const ui = computed(() => ({
  input: `form-control ${props.isSmall ? 'form-control-sm' : ''}`,
  dayClass: (date: Date) => (fromDate(date) === today.value ? 'shop-today' : ''),
}));
const inputAttrs = computed(() => ({
  ...(props.id ? { id: props.id } : {}),
  required: props.required ?? false,
  clearable: props.required !== true,
  hideInputIcon: true,
}));
</script>

<template>
  <VueDatePicker
    v-model="picked"
    class="date-field"
    auto-apply
    :formats="formats"
    :text-input="textInput"
    :input-attrs="inputAttrs"
    :time-config="{ enableTimePicker: false }"
    :locale="locale"
    :week-start="1"
    :start-date="toDate(today)"
    focus-start-date
    :transitions="false"
    :disabled="disabled ?? false"
    :placeholder="t('kit.dayMonthYear')"
    :aria-labels="{
      input: label ?? t('common.dayHead'),
      menu: t('kit.calendar'),
      clearInput: t('kit.noDay'),
    }"
    :ui="ui"
    no-today
  />
</template>

<style src="../../theme/dateField.scss" lang="scss"></style>
