import type * as en from './en/index.ts';

export type Messages = typeof en;
export type Room = keyof Messages;
/** The name of a message: its room and its name there. */
export type WordKey = { [R in Room]: `${R}.${keyof Messages[R] & string}` }[Room];
/** The same messages in another language; one that lacks some of them does not compile. */
export type Translation = { readonly [R in Room]: Readonly<Record<keyof Messages[R], string>> };
