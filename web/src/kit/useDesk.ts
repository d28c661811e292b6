import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { Right, SessionView } from '@wergon/contract/access';
import type { SpareField } from '@wergon/core/work';
import { HOURS_STYLES, createZone, formatHours, formatLeft, toSeconds } from '@wergon/core/time';
import type { HoursStyle, Zone } from '@wergon/core/time';
import { callRoute } from './callRoute.ts';
import { sayRole } from './sayRole.ts';
import { currentLocale, sayList, t } from '../words/index.ts';

/** Who is at the desk, in which shop, and how they like to read hours. */
export const useDesk = defineStore('desk', () => {
  const session = ref<SessionView | null>(null);
  const hoursStyle = computed((): HoursStyle => session.value?.hoursStyle ?? 'h:mm');

  const zone = computed((): Zone | undefined => {
    const made = session.value && createZone(session.value.zone);
    return made?.ok ? made.value : undefined;
  });

  const may = (right: Right) => session.value?.rights.includes(right) ?? false;
  /** Costs are told at standard rates to whoever may not see what people cost; it says so wherever they stand. */
  const isStandard = computed(() => !may('rates.see'));

  return {
    session,
    /** What they are, in one line. */
    roleWords: computed(() => sayList((session.value?.roles ?? []).map(sayRole))),
    costWords: computed(() => (isStandard.value ? t('kit.standardCost') : t('kit.laborCost'))),
    /** The same within a line. */
    costWord: computed(() => (isStandard.value ? t('kit.standardCostWord') : t('kit.laborCostWord'))),
    costTitle: computed(() =>
      isStandard.value ? t('kit.hoursAtTheStandardRateOfThe') : t('kit.hoursAtWhatEachPersonCosts'),
    ),
    zone,
    hoursStyle,
    may,
    /** Whether the shop uses a field; one that it does without is shown only where it holds something. */
    uses: (field: SpareField) => !(session.value?.unusedFields.includes(field) ?? false),
    hours: (seconds: number) => formatHours(toSeconds(seconds), hoursStyle.value),
    /** What is left of an estimate: rounded up, so that used and left make it. */
    left: (seconds: number) => formatLeft(toSeconds(seconds), hoursStyle.value),
    /** Where a figure opens to its scans, seconds are shown. */
    exactHours: (seconds: number) =>
      formatHours(toSeconds(seconds), hoursStyle.value === 'decimal' ? 'decimal' : 'h:mm:ss'),
    /** The next way to read hours: at once here, and wherever they sign in from now on. */
    nextHoursStyle: (): void => {
      const now = session.value;
      if (!now) return;
      const next = HOURS_STYLES[(HOURS_STYLES.indexOf(hoursStyle.value) + 1) % HOURS_STYLES.length] ?? 'h:mm';
      session.value = { ...now, hoursStyle: next };
      // Where the server does not answer it holds until the page is loaded anew.
      void callRoute('saveHoursStyle', { body: { hoursStyle: next } }).catch(() => undefined);
    },
    /** A rate as money of the shop, with the decimals that it has beyond cents. */
    rate: (amount: string) =>
      new Intl.NumberFormat(currentLocale(), {
        style: 'currency',
        currency: session.value?.currency ?? 'EUR',
        maximumFractionDigits: 4,
      }).format(Number(amount)),
    /** Money without cents, for a scale. */
    wholeMoney: (amount: number) =>
      new Intl.NumberFormat(currentLocale(), {
        style: 'currency',
        currency: session.value?.currency ?? 'EUR',
        maximumFractionDigits: 0,
      })
        .format(amount)
        .replace('-', '−'),
    /** A decimal string of the server as money of the shop. */
    money: (amount: string) =>
      new Intl.NumberFormat(currentLocale(), {
        style: 'currency',
        currency: session.value?.currency ?? 'EUR',
      }).format(Number(amount)),
  };
});
