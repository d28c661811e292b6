export { default as FirstRunPage } from './FirstRunPage.vue';
export { default as SignInPage } from './SignInPage.vue';
export { PasswordDuePage, accessPages } from './pages.ts';
