type Plain = string | number | boolean | bigint | null | undefined;

/** A value of which nothing is changed, at any depth: what a handler answers may be what it was told. */
export type DeepReadonly<T> = T extends Plain
  ? T
  : T extends readonly (infer Item)[]
    ? readonly DeepReadonly<Item>[]
    : { readonly [Key in keyof T]: DeepReadonly<T[Key]> };
