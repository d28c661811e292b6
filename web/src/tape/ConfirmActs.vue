<script setup lang="ts">
/** Why, and the two ways out of an edit. */
defineProps<{ cannot: boolean }>();
const reason = defineModel<string>({ required: true });
const emit = defineEmits<{ leave: [] }>();
</script>

<template>
  <div class="acts">
    <input
      v-model="reason"
      class="form-control form-control-sm"
      aria-label="Why"
      placeholder="why, if it is worth a word"
      maxlength="200"
    />
    <button type="submit" class="btn btn-primary btn-sm" :disabled="cannot">Put it right</button>
    <button type="button" class="btn btn-quiet btn-sm" @click="emit('leave')">Leave it as it is</button>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.acts input {
  flex: 0 1 300px;
}
</style>
