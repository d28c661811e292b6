<script setup lang="ts">
import { useWords } from './useWords.ts';
import { PlainButton } from '../kit/parts/index.ts';

/** What takes the place of one's work on the screen: its title, the way back, and large enough for a finger. */
defineProps<{ title: string }>();
defineEmits<{ back: [] }>();
const said = useWords();
</script>

<template>
  <section class="frame aside-frame">
    <header>
      <h1>{{ title }}</h1>
      <PlainButton @click="$emit('back')">{{ said.words.button.back }}</PlainButton>
    </header>
    <slot />
  </section>
</template>

<style scoped>
.frame {
  height: 100%;
  padding: 22px 34px;
  overflow: auto;
}
header {
  display: flex;
  gap: 20px;
  align-items: start;
  justify-content: space-between;
}
h1 {
  margin: 0 0 16px;
  font-size: var(--far-2xl);
  line-height: 1.15;
}
@media (max-width: 600px) {
  .frame {
    padding: 14px 16px;
  }
}
</style>

<style>
/* Of all that stands in it; a view says of its own buttons what is otherwise. */
.aside-frame button {
  min-height: 52px;
  padding: 0 22px;
  background: none;
  border: 1px solid var(--ink-2);
  color: inherit;
  font-size: var(--far-xs);
}
</style>
