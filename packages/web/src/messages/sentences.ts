/**
 * Sentences of the core in another language. They come as they are, filled in already and maybe kept for weeks, so they are
 * known by their form: an entry `it is {1} high` stands for all that begin and end so. What is filled in is looked up as
 * well, as it may be a word of ours; names that people gave have no entry and stay.
 */

type Entries = Readonly<Record<string, string>>;

/** An entry with blanks: what stands around them, and what is said instead. */
interface Form {
  readonly around: readonly string[];
  /** Numbers of the blanks, in the order they stand in. */
  readonly blanks: readonly string[];
  readonly instead: string;
}

const BLANK = /\{(\d+)\}/;
/** What joins sentences that are said one after the other. */
const JOINT = /; |: |\. | → | · |, /;
/** Sentences that are remembered: a job says the same ones again and again. */
const MOST_KNOWN = 5_000;

/** The most said around its blanks comes first: it is the most particular. */
const formsOf = (entries: Entries): Form[] =>
  Object.entries(entries)
    // Something must stand around a blank: else it would be looked up in itself.
    .filter(([key]) => BLANK.test(key) && key.replace(/\{\d+\}/g, '') !== '')
    .map(([key, instead]) => {
      const parts = key.split(BLANK);
      return {
        around: parts.filter((_, k) => k % 2 === 0),
        blanks: parts.filter((_, k) => k % 2 === 1),
        instead,
      };
    })
    .sort((a, b) => b.around.join('').length - a.around.join('').length);

/** What stands in the blanks of a form; undefined where a text has another form. */
function filledIn({ around }: Form, text: string): string[] | undefined {
  const first = around[0]!;
  const last = around.at(-1)!;
  const end = text.length - last.length;
  if (end < first.length || !text.startsWith(first) || !text.endsWith(last)) return undefined;
  const found: string[] = [];
  let from = first.length;
  for (const part of around.slice(1, -1)) {
    const at = text.indexOf(part, from);
    if (at < 0 || at + part.length > end) return undefined;
    found.push(text.slice(from, at));
    from = at + part.length;
  }
  return [...found, text.slice(from, end)];
}

/** @param entries of the language: what the core says, with `{1}`, `{2}` for what it fills in, to what is said instead */
export function sentencesOf(entries: Entries): (text: string) => string {
  const forms = formsOf(entries);
  const known = new Map<string, string>();
  const find = (text: string): string => {
    const whole = Object.hasOwn(entries, text) ? entries[text] : undefined;
    if (whole !== undefined) return whole;
    for (const form of forms) {
      const values = filledIn(form, text);
      if (!values) continue;
      return form.instead.replace(/\{(\d+)\}/g, (all, blank: string) => {
        const value = values[form.blanks.indexOf(blank)];
        return value === undefined ? all : translated(value);
      });
    }
    const joint = JOINT.exec(text);
    if (!joint) return text;
    const after = joint.index + joint[0].length;
    return translated(text.slice(0, joint.index)) + joint[0] + translated(text.slice(after));
  };
  const translated = (text: string): string => {
    const held = known.get(text);
    if (held !== undefined) return held;
    if (known.size >= MOST_KNOWN) known.clear();
    const made = find(text);
    known.set(text, made);
    return made;
  };
  return translated;
}
