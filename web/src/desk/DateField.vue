<script setup lang="ts">
import { VueDatePicker } from '@vuepic/vue-datepicker';
import '@vuepic/vue-datepicker/dist/main.css';
import { computed } from 'vue';
import { formatDay, formatLongDay, parseDay } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { readDateText } from './dateText.ts';
import { useDesk } from './useDesk.ts';
import { useNow } from './useNow.ts';

/** A day in the shop's own form, typed or picked; empty for none. */
const props = defineProps<{
  id?: string;
  label?: string;
  required?: boolean;
  disabled?: boolean;
  isSmall?: boolean;
}>();
const day = defineModel<string>({ required: true });
const desk = useDesk();
const now = useNow();
const today = computed(() => desk.zone?.dayAt(now.value) ?? (0 as LocalDay));

/** The picker speaks of days as the browser's own midnights. */
const toDate = (of: LocalDay) => new Date(`${formatDay(of)}T00:00:00`);
const two = (count: number) => String(count).padStart(2, '0');
const writeDate = (date: Date) => `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
const picked = computed({
  get: () => {
    const read = parseDay(day.value);
    return read.ok ? toDate(read.value) : null;
  },
  set: (date: Date | null) => (day.value = date ? writeDate(date) : ''),
});
const formats = {
  input: (date: Date) => {
    const read = parseDay(writeDate(date));
    return read.ok ? formatLongDay(read.value) : '';
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
  dayClass: (date: Date) => (writeDate(date) === formatDay(today.value) ? 'shop-today' : ''),
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
    :week-start="1"
    :start-date="toDate(today)"
    focus-start-date
    :transitions="false"
    :disabled="disabled ?? false"
    placeholder="day month year"
    :aria-labels="{ input: label ?? 'Day', menu: 'Calendar', clearInput: 'No day' }"
    :ui="ui"
    no-today
  />
</template>

<style lang="scss">
/* The picker in the theme's own inks. */
.date-field.date-field,
.dp--menu.dp--menu {
  --dp-font-family: var(--text);
  --dp-font-size: 15px;
  --dp-border-radius: 0;
  --dp-cell-border-radius: 0;
  --dp-background-color: var(--sheet);
  --dp-text-color: var(--ink);
  --dp-hover-color: var(--band);
  --dp-hover-text-color: var(--ink);
  --dp-hover-icon-color: var(--ink);
  --dp-primary-color: var(--action);
  --dp-primary-text-color: var(--action-ink);
  --dp-secondary-color: var(--ink-2);
  --dp-border-color: var(--line);
  --dp-menu-border-color: var(--ink);
  --dp-border-color-hover: var(--ink-2);
  --dp-border-color-focus: var(--action);
  --dp-disabled-color: var(--band);
  --dp-icon-color: var(--ink-2);
  --dp-success-color: var(--action);
  --dp-danger-color: var(--attention);
}
.dp--menu .shop-today {
  outline: 1px solid var(--action);
  outline-offset: -1px;
}
.date-field {
  min-width: 150px;

  /* As high as any other field. */
  .form-control {
    padding: 0.375rem 1.9rem 0.375rem 0.75rem;
    font-size: 1rem;
    line-height: 1.5;
  }
  .form-control-sm {
    padding: 0.25rem 1.7rem 0.25rem 0.5rem;
    font-size: 0.875rem;
  }
}
</style>
