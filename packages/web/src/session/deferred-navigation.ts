/**
 * Whoever goes to another screen has it before what nobody waits for. A plan that comes in meanwhile would have the screen he
 * leaves drawn anew first, and the one he goes to begun again.
 */

/** Milliseconds that a screen is given. */
const GIVEN = 350;
let wentAt = -Infinity;

/** From now on it is known when somebody goes to another screen. */
export function watchGoing(): void {
  window.addEventListener(
    'click',
    ({ target }) => {
      if (target instanceof Element && target.closest('a[href]')) wentAt = performance.now();
    },
    true,
  );
}

/** Does things in their order, none while somebody is on the way to another screen. */
export function inTurn(): (what: () => void) => void {
  const waiting: (() => void)[] = [];
  const left = (): number => wentAt + GIVEN - performance.now();
  const next = (): void => {
    const wait = left();
    if (wait > 0) return void setTimeout(next, wait);
    waiting.shift()?.();
    if (waiting.length > 0) next();
  };
  return (what) => {
    if (waiting.length === 0 && left() <= 0) return what();
    if (waiting.push(what) === 1) setTimeout(next, Math.max(0, left()));
  };
}
