/** Orders by keys, each compared by code unit or by number, the first that differs deciding. */
export const by =
  <T>(...keys: readonly ((item: T) => string | number)[]) =>
  (a: T, b: T): number => {
    for (const key of keys) {
      const [left, right] = [key(a), key(b)];
      if (left !== right) return left < right ? -1 : 1;
    }
    return 0;
  };
