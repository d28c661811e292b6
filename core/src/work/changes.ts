/** A record in words: each field by its name, as a person reads it. */
export type InWords = Readonly<Record<string, string>>;

/** One field that changed; empty text where there was nothing before, or is nothing now. */
export type FieldChange = { readonly field: string; readonly before: string; readonly after: string };

/** What differs between two versions of a record, in the order of the new one, what is gone last. */
export function findChanges(before: InWords, after: InWords): FieldChange[] {
  const fields = [...Object.keys(after), ...Object.keys(before).filter((field) => !(field in after))];
  return fields
    .map((field) => ({ field, before: before[field] ?? '', after: after[field] ?? '' }))
    .filter((change) => change.before !== change.after);
}

/** What two people made of one record: fields that only one of them changed can be joined; where both wrote something
 *  else, somebody must choose. `base` is what both began with. */
export type Merge = {
  readonly conflicts: readonly { readonly field: string; readonly mine: string; readonly theirs: string }[];
  readonly theirsOnly: readonly FieldChange[];
};

/** Compares two versions that grew out of one. */
export function mergeChanges(base: InWords, mine: InWords, theirs: InWords): Merge {
  const own = new Map(findChanges(base, mine).map((change) => [change.field, change]));
  const others = findChanges(base, theirs);
  return {
    conflicts: others.flatMap(({ field, after }) => {
      const ours = own.get(field);
      return ours && ours.after !== after ? [{ field, mine: ours.after, theirs: after }] : [];
    }),
    theirsOnly: others.filter(({ field }) => !own.has(field)),
  };
}
