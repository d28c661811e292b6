/** The number after the highest one that is a number, as wide as that; 1 where there is none. */
export function nextNumber(people: readonly { readonly number: string }[]): string {
  const numbers = people.map(({ number }) => number).filter((number) => /^\d{1,12}$/.test(number));
  const highest = numbers.reduce((most, number) => (Number(number) > Number(most) ? number : most), '0');
  return String(Number(highest) + 1).padStart(numbers.length === 0 ? 1 : highest.length, '0');
}
