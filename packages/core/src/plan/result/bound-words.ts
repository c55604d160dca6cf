import { message, type Words } from '../../messages/index.ts';
import type { BoundGround } from '@long-miter/optimiser';

/**
 * Why no plan can cost less than the bound, in one sentence with its figure.
 * @param figure what the ground gave, in money
 * @param bound  the bound, in money: the figure raised to the next sum that sticks and splices can come to
 * @param money  writes a sum as the job writes money, with its currency
 */
export function whyBound(
  by: BoundGround['by'],
  figure: number,
  bound: number,
  pieces: number,
  money: (amount: number) => string,
): Words {
  const raised =
    bound - figure > 0.005 ? message('bound.and-the-next-sum-that-whole', { bound: money(bound) }) : '';
  switch (by) {
    case 'trial':
      if (pieces === 1) return message('bound.there-is-one-piece-no-way', { bound: money(bound) });
      return message('bound.every-way-to-share-the-pieces', { pieces, bound: money(bound) });
    case 'length':
      return message('bound.the-pieces-laid-end-to-end', { figure: money(figure), raised });
    case 'relaxed':
      return message('bound.even-if-sticks-could-be-bought', { figure: money(figure), raised });
    case 'counts':
      return message('bound.plans-were-told-apart-by-how', { figure: money(figure), raised });
    case 'patterns':
      return message('bound.all-patterns-that-a-cheaper-plan', { figure: money(figure), raised });
  }
}
