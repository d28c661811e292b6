<script setup lang="ts">
defineProps<{ name: string }>();
const WAYS = [
  { scan: 'Badge', then: 'see what you are on and what is left of it' },
  { scan: 'Badge, task', then: 'start it, or switch to it' },
  { scan: 'Badge, OFF TASK', then: 'leave what you are on' },
  { scan: 'Badge, SHIFT IN or SHIFT OUT', then: 'come or go' },
] as const;
</script>

<template>
  <section class="idle">
    <h1>{{ name }}</h1>
    <p class="free">Nobody is standing here. This station is free.</p>
    <dl>
      <template v-for="way in WAYS" :key="way.scan">
        <dt>{{ way.scan }}</dt>
        <dd>{{ way.then }}</dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.idle {
  padding: 34px;
}
h1 {
  margin: 0 0 8px;
  font-size: clamp(44px, 8.5vw, 110px);
  font-weight: 700;
  line-height: 1;
}
.free {
  margin: 0 0 56px;
  color: var(--ink-2);
  font-size: clamp(20px, 2.7vw, 34px);
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 14px 34px;
  margin: 0;
  font-size: clamp(18px, 1.9vw, 24px);
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
  color: var(--ink-2);
}
@media (max-width: 700px) {
  .idle {
    padding: 16px;
  }
  .free {
    margin-bottom: 24px;
  }
  dl {
    grid-template-columns: 1fr;
    gap: 2px;
  }
  dd {
    margin-bottom: 10px;
  }
}
</style>
