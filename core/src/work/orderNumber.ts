/** How a shop numbers its orders: some letters, then digits that count up, at least so many of them. */
export type OrderNumberScheme = { readonly prefix: string; readonly digits: number; readonly first: number };

/** The number after the highest of this scheme that is taken; numbers of other schemes are passed over. */
export function nextOrderNumber(
  { prefix, digits, first }: OrderNumberScheme,
  taken: Iterable<string>,
): string {
  let next = first;
  for (const number of taken) {
    if (!number.startsWith(prefix)) continue;
    const rest = number.slice(prefix.length);
    if (/^\d{1,15}$/.test(rest)) next = Math.max(next, Number(rest) + 1);
  }
  return `${prefix}${String(next).padStart(digits, '0')}`;
}
