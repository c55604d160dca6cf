/** Currencies by the country that a browser is set to; where none is known the job's is asked in the set-up. */
const BY_COUNTRY: Readonly<Record<string, string>> = {
  US: 'USD',
  CA: 'CAD',
  GB: 'GBP',
  AU: 'AUD',
  NZ: 'NZD',
  CH: 'CHF',
  SE: 'SEK',
  NO: 'NOK',
  DK: 'DKK',
  PL: 'PLN',
  JP: 'JPY',
};
const EURO = new Set('AT BE CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK'.split(' '));

/** The currency that a new job starts with here; undefined where the browser does not say. */
export function localCurrency(languages: readonly string[] = navigator.languages): string | undefined {
  for (const language of languages) {
    const country = language.split('-').find((part) => /^[A-Z]{2}$/.test(part));
    if (country === undefined) continue;
    if (EURO.has(country)) return 'EUR';
    if (BY_COUNTRY[country]) return BY_COUNTRY[country];
  }
  return undefined;
}
