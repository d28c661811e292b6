<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed } from 'vue';

/** People whose name holds the words of a page's search, to go to; nobody before anything is typed. */
type Person = { readonly id: string; readonly name: string };
const props = defineProps<{ people: readonly Person[]; search: string }>();
const emit = defineEmits<{ pick: [id: string] }>();

const MOST = 8;
const found = computed(() => {
  const words = props.search.trim().toLowerCase();
  return words === ''
    ? []
    : props.people.filter(({ name }) => name.toLowerCase().includes(words)).slice(0, MOST);
});
</script>

<template>
  <ul v-if="found.length > 0" class="found">
    <li v-for="person in found" :key="person.id">
      <BButton variant="quiet" size="sm" @click="emit('pick', person.id)">{{ person.name }}</BButton>
    </li>
  </ul>
</template>

<style scoped>
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 8px 16px;
  list-style: none;
}
@media print {
  .found {
    display: none;
  }
}
</style>
