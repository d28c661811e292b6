<script setup lang="ts">
import { keysOf } from '@wergon/core/result';
import { LANGUAGES, chooseLanguage, currentLanguage } from '../../words/index.ts';
import PlainButton from './PlainButton.vue';

const others = keysOf(LANGUAGES).filter((each) => each !== currentLanguage());
</script>

<template>
  <PlainButton v-for="each in others" :key="each" :lang="each" @click="chooseLanguage(each)">{{
    LANGUAGES[each]
  }}</PlainButton>
</template>
