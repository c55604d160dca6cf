import { formatMoney, type Coin } from '@long-miter/core';
import { language } from './language.ts';

/** Money as the language of the page writes it. */
export const moneyText = (minor: number, coin: Coin): string => formatMoney(minor, coin, language);
