<script setup lang="ts">
import { LANGUAGES, chooseLanguage, currentLanguage } from '../../words/index.ts';
import type { Language } from '../../words/index.ts';
import PlainButton from './PlainButton.vue';

const others = (Object.keys(LANGUAGES) as Language[]).filter((each) => each !== currentLanguage());
</script>

<template>
  <PlainButton v-for="each in others" :key="each" :lang="each" @click="chooseLanguage(each)">{{
    LANGUAGES[each]
  }}</PlainButton>
</template>
