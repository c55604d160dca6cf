/** Texts by their codes: in American English with its trade words, and what reads otherwise by language and vocabulary. */
export interface Texts {
  readonly american: Readonly<Record<string, string>>;
  readonly layers: Readonly<Record<string, Readonly<Record<string, string>>>>;
}
