/** The trade's words in the two vocabularies. Sentences take them from here, so that none is written twice. */
export type Vocabulary = 'us' | 'uk';

export interface Terms {
  readonly base: string;
  readonly casing: string;
  readonly shoe: string;
  readonly crown: string;
  /** A stock length. */
  readonly stick: string;
  readonly sticks: string;
  /** What is done to a piece that fits over another's face. */
  readonly coped: string;
  readonly cope: string;
  readonly miter: string;
  readonly miters: string;
  readonly mitered: string;
}

const TERMS: Readonly<Record<Vocabulary, Terms>> = {
  us: {
    base: 'base',
    casing: 'casing',
    shoe: 'shoe',
    crown: 'crown',
    stick: 'stick',
    sticks: 'sticks',
    coped: 'coped',
    cope: 'cope',
    miter: 'miter',
    miters: 'miters',
    mitered: 'mitered',
  },
  uk: {
    base: 'skirting',
    casing: 'architrave',
    shoe: 'quadrant',
    crown: 'cornice',
    stick: 'length',
    sticks: 'lengths',
    coped: 'scribed',
    cope: 'scribe',
    miter: 'mitre',
    miters: 'mitres',
    mitered: 'mitred',
  },
};

export const termsOf = (vocabulary: Vocabulary | undefined): Terms => TERMS[vocabulary ?? 'us'];
