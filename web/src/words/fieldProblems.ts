/** Words for what is wrong with a field: they come in English, from the contract or the server, and are said in the
 *  language of the page. */
type Said = { readonly pattern: RegExp; readonly params: readonly string[]; readonly words: string };

let said: readonly Said[] = [];

const escape = (text: string) => text.replace(/[.*+?^$()|[\]\\]/g, '\\$&');
const paramsOf = (text: string) => [...text.matchAll(/\{(\w+)\}/g)].map(([, name]) => name ?? '');

/** Takes the words of a language; those with fewer gaps come before those that fit more. */
export function learnFieldProblems(words: Readonly<Record<string, string>>): void {
  said = Object.entries(words)
    .map(([english, own]) => ({
      pattern: new RegExp(`^${escape(english).replace(/\{\w+\}/g, '(.+)')}$`),
      params: paramsOf(english),
      words: own,
    }))
    .sort((a, b) => a.params.length - b.params.length || b.pattern.source.length - a.pattern.source.length);
}

/** A message of the contract or the server in the language of the page, or as it came where that has no words for it. */
export function sayFieldProblem(message: string): string {
  for (const { pattern, params, words } of said) {
    const found = pattern.exec(message);
    if (found) return params.reduce((text, name, i) => text.replace(`{${name}}`, found[i + 1] ?? ''), words);
  }
  return message;
}
