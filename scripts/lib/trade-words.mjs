/** British trade words for the American ones, for whoever writes a layer; each entry is read before it is kept. */
const WORDS = {
  base: 'skirting',
  casing: 'architrave',
  casings: 'architraves',
  shoe: 'quadrant',
  crown: 'cornice',
  crowns: 'cornices',
  stick: 'length',
  sticks: 'lengths',
  coped: 'scribed',
  cope: 'scribe',
  copes: 'scribes',
  coping: 'scribing',
  miter: 'mitre',
  miters: 'mitres',
  mitered: 'mitred',
  mitering: 'mitring',
};
// The spelling goes with the trade words where the language has none of its own.
const SPELLED = {
  center: 'centre',
  color: 'colour',
  millimeter: 'millimetre',
  centimeter: 'centimetre',
  molding: 'moulding',
  neighbor: 'neighbour',
};
const ALL = {
  ...WORDS,
  ...SPELLED,
  ...Object.fromEntries(Object.entries(SPELLED).map(([us, uk]) => [`${us}s`, `${uk}s`])),
};
/** Our own name is a name. */
const FORM = new RegExp(`(?<!\\bLong )\\b(?:${Object.keys(ALL).join('|')})\\b`, 'gi');

/** @example inTradeWords('Miter the base') // "Mitre the skirting" */
export const inTradeWords = (text) =>
  text.replace(FORM, (word) => {
    const other = ALL[word.toLowerCase()];
    return /^[A-Z]/.test(word) ? other[0].toUpperCase() + other.slice(1) : other;
  });
