/**
 * Why a problem has no plan, as data: whoever shows it makes the sentence. `at` is a JSON pointer into the problem.
 * - `cut/too-long`: a blank, or a wall however it is divided, fits no stick; lengths in cutting units
 * - `cut/not-enough`: proven that the limited stock does not suffice
 * - `cut/not-found-yet`: no plan in the time that was given; there may be one
 * - `cut/fixed`: a stick fixed by hand that is not there, or that does not hold its parts
 */
export type CutFault = { readonly at: string } & (
  | {
      readonly code: 'cut/too-long';
      readonly data: {
        readonly id: string;
        readonly part: 'blank' | 'wall';
        readonly needs: number;
        readonly longest: number;
      };
    }
  | { readonly code: 'cut/not-enough' | 'cut/not-found-yet'; readonly data: Readonly<Record<string, never>> }
  | {
      readonly code: 'cut/fixed';
      readonly data: { readonly stick: string; readonly why: 'none-left' | 'does-not-hold' };
    }
);

/** An answer, or every reason why there is none. What a problem can cause is a value, never an exception. */
export type CutResult<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly issues: readonly [CutFault, ...CutFault[]] };

/** A good answer. */
export const succeed = <T>(value: T): CutResult<T> => ({ ok: true, value });

/** A refusal with one reason or several. */
export const refuse = (first: CutFault, ...rest: readonly CutFault[]): CutResult<never> => ({
  ok: false,
  issues: [first, ...rest],
});
