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
): string {
  const raised =
    bound - figure > 0.005
      ? `, and the next sum that whole sticks with room enough can come to is ${money(bound)}`
      : '';
  switch (by) {
    case 'trial':
      if (pieces === 1) return `There is one piece: no way to cut it costs less than ${money(bound)}.`;
      return `Every way to share the ${pieces} pieces among sticks was tried: none costs less than ${money(bound)}.`;
    case 'length':
      return `The pieces laid end to end without a cut between them come to ${money(figure)} at the cheapest price for their length${raised}.`;
    case 'relaxed':
      return `Even if sticks could be bought in fractions, no mix of patterns costs less than ${money(figure)}${raised}.`;
    case 'counts':
      return `Plans were told apart by how many sticks of each price they buy and how many splices they have: even if patterns could be cut in fractions, none costs less than ${money(figure)}${raised}.`;
    case 'patterns':
      return `All patterns that a cheaper plan could use were tried together: the best of them costs ${money(figure)}${raised}.`;
  }
}
