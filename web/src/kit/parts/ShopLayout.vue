<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Right } from '@wergon/contract/access';
import { callRoute } from '../callRoute.ts';
import { isLive } from '../live.ts';
import { useDesk } from '../useDesk.ts';
import { t } from '../../words/index.ts';

defineProps<{ title: string; lead?: string }>();
const desk = useDesk();
const checklist = useQuery({
  queryKey: ['checklist'],
  queryFn: () => callRoute('checklist'),
  enabled: computed(() => desk.may('shop.see')),
});

const PAGES: readonly { readonly to: string; readonly word: string; readonly right: Right }[] = [
  { to: '/shop', word: t('common.whatIsMissing'), right: 'shop.see' },
  { to: '/shop/people', word: t('common.people'), right: 'people.see' },
  { to: '/shop/standards', word: t('common.standards'), right: 'work.see' },
  { to: '/shop/lists', word: t('common.lists'), right: 'shop.see' },
  { to: '/shop/units', word: t('common.customersAndUnits'), right: 'shop.see' },
  { to: '/shop/stations', word: t('common.stations'), right: 'shop.see' },
  { to: '/shop/scanner', word: t('common.scannerCheck'), right: 'shop.see' },
  { to: '/shop/labels', word: t('common.labels'), right: 'shop.see' },
  { to: '/shop/import', word: t('common.importAndExport'), right: 'work.see' },
  { to: '/shop/users', word: t('common.whoMayDoWhat'), right: 'floor.see' },
  { to: '/shop/rules', word: t('common.rules'), right: 'shop.see' },
  { to: '/shop/settings', word: t('common.settings'), right: 'shop.see' },
];
const pages = computed(() => PAGES.filter(({ right }) => desk.may(right)));
const missing = computed(() => checklist.data.value?.items.length ?? 0);
</script>

<template>
  <div class="book">
    <nav class="index" :aria-label="t('kit.theShop')">
      <p class="of">{{ desk.session?.shopName }}</p>
      <ul>
        <li v-for="{ to, word } in pages" :key="to">
          <RouterLink
            :to="to"
            :class="{ here: $route.path === to || (to !== '/shop' && $route.path.startsWith(to)) }"
            >{{ word
            }}<span v-if="to === '/shop' && missing > 0" class="mono count">{{ missing }}</span></RouterLink
          >
        </li>
      </ul>
      <p class="foot">
        {{ desk.session?.name }}, {{ desk.roleWords }}<br /><template v-if="desk.session?.isDemo"
          >{{ t('kit.demoClock') }} · </template
        ><span class="mono" :class="{ attention: !isLive }" role="status">{{
          isLive ? t('kit.live') : t('kit.notLive')
        }}</span>
      </p>
    </nav>
    <main class="subject" tabindex="-1">
      <h1>{{ title }}</h1>
      <p v-if="lead" class="lead-words">{{ lead }}</p>
      <slot />
    </main>
  </div>
</template>

<style src="../../theme/shop.scss" lang="scss"></style>
<style scoped lang="scss">
.index {
  display: flex;
  flex-direction: column;
  padding: 18px 0 12px;
  background: var(--sheet);
  border-right: 1px solid var(--line);
}
.of {
  margin: 0 0 12px;
  padding: 0 16px;
  font-weight: 700;
}
ul {
  flex: 1;
  margin: 0;
  padding: 0;
  list-style: none;
}
a {
  display: flex;
  justify-content: space-between;
  padding: 6px 16px;
  color: inherit;
  text-decoration: none;
  &:hover {
    background: var(--band);
  }
  &.here {
    background: var(--band);
    font-weight: 700;
    box-shadow: inset 4px 0 var(--action);
  }
}
.count {
  font-weight: 400;
}
.foot {
  margin: 0;
  padding: 0 16px;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.subject {
  min-width: 0;
  padding: 18px 28px 48px;
  overflow: auto;
  outline: none;
}
@media (max-width: 760px) {
  ul {
    display: flex;
    overflow-x: auto;
  }
  a {
    white-space: nowrap;
  }
  .of,
  .foot {
    display: none;
  }
  .subject {
    padding: 14px 16px 40px;
  }
}
</style>
