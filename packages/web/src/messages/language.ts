/** The language of the page: spelling, numbers and dates. The trade's words are the job's, see `vocabulary.ts`. */

/** Languages there is a file for. */
export const LANGUAGES = ['en-US', 'en-GB'] as const;
export type Language = (typeof LANGUAGES)[number];

/** The language that the texts in the code are written in. */
export const SOURCE = 'en-US' satisfies Language;

const KEPT_AS = 'long-miter-language';

/** The nearest of ours to what is wished for, most wished for first. @example nearest(['de-AT', 'en-AU']) // "en-GB" */
export function nearest(wished: readonly string[]): Language {
  for (const one of wished) {
    const own = LANGUAGES.find((language) => language.toLowerCase() === one.toLowerCase());
    if (own) return own;
    // English is spelled the British way but in the States, their islands and Canada's neighbours of habit.
    if (/^en-(?:US|PR|GU|VI|PH)$/i.test(one) || /^en$/i.test(one)) return 'en-US';
    if (/^en-/i.test(one)) return 'en-GB';
  }
  return SOURCE;
}

function keptChoice(): string | null | undefined {
  try {
    return globalThis.localStorage?.getItem(KEPT_AS);
  } catch {
    return undefined;
  }
}

/**
 * Whether every text of ours has accents, so that whoever looks at the screens sees what is not translated. It is chosen
 * nowhere; the tests keep it by hand.
 */
export const isPseudo: boolean = keptChoice() === 'pseudo';

/** What a person has chosen in this browser; undefined where he left it to the browser. */
export function chosenLanguage(): Language | undefined {
  const kept = keptChoice();
  return LANGUAGES.find((one) => one === kept);
}

/** Keeps the choice. It holds from the next load of the page on. */
export function chooseLanguage(chosen: Language | undefined): void {
  try {
    if (chosen === undefined) globalThis.localStorage.removeItem(KEPT_AS);
    else globalThis.localStorage.setItem(KEPT_AS, chosen);
  } catch {
    // A browser that keeps nothing goes by its own language.
  }
}

const wished = (): readonly string[] =>
  typeof navigator === 'undefined' ? [] : (navigator.languages ?? [navigator.language ?? '']);

/** The language of this page, the same as long as it is open. */
export const language: Language = chosenLanguage() ?? nearest(wished());
