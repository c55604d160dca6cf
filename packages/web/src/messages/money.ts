import { formatMoney, type Coin } from '@long-miter/core';
import { language, SOURCE } from './language.ts';

/** Money as the language of the page writes it. */
export const moneyText = (minor: number, coin: Coin): string => formatMoney(minor, coin, language);

/** Amounts in a sentence of the core, which writes them as American English does, as the language of the page has them. */
export function amountsIn(text: string, coin: Coin, here = language): string {
  if (here === SOURCE || coin.currency === undefined) return text;
  const [before = '', after = ''] = formatMoney(0, coin)
    .split(/[\d.]+/)
    .map((part) => part.replace(/[$.*+?^()[\]{}|\\]/g, '\\$&'));
  return text.replace(new RegExp(`${before}(\\d[\\d,]*(?:\\.\\d+)?)${after}`, 'g'), (_, figure: string) =>
    formatMoney(Math.round(Number(figure.replaceAll(',', '')) * 10 ** coin.digits), coin, here),
  );
}
