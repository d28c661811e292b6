import 'bootstrap-vue-next';

declare module 'bootstrap-vue-next' {
  /** The theme's own button: a frame on the sheet's ground. */
  interface BaseButtonVariant {
    quiet: unknown;
  }
}
