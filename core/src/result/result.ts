declare const brand: unique symbol;

/** A value of type T that only its own parser or maker hands out, so that one id cannot stand for another. */
export type Brand<T, Name extends string> = T & { readonly [brand]: Name };

/** What a message needs beside its code: plain values, never prose. */
export type Params = Readonly<Record<string, string | number>>;

/** An expected "no": a code to branch on and the values its words need. */
export type Refusal<Code extends string> = {
  readonly ok: false;
  readonly code: Code;
  readonly params: Params;
};

/** Either a value or a refusal that a person can cause. Bugs throw `Defect` instead. */
export type Result<T, Code extends string> = { readonly ok: true; readonly value: T } | Refusal<Code>;

/** Wraps a value as a success. */
export const ok = <T>(value: T) => ({ ok: true, value }) as const;

/** Makes a refusal; `params` are data for its words. */
export const fail = <Code extends string>(code: Code, params: Params = {}): Refusal<Code> => ({
  ok: false,
  code,
  params,
});

/** A bug in Wergon, never something a person did: thrown, logged, answered as "our fault". */
export class Defect extends Error {
  override readonly name = 'Defect';
}
