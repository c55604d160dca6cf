/** What can take the focus without a keyboard of glass coming up for it. */
const TAKES = 'button:not([disabled]), a[href], [role="button"], [tabindex="0"]';
/** When it is looked after: at once, and after an answer of the server has taken something away. */
const LOOKS = [0, 250, 1500] as const;

interface Place {
  readonly parent: Element;
  readonly index: number;
}

/** Further out than this it is another thing that one is at: the page's own parts, a dialog. */
const PART = 'main, section, form, [role="region"], [role="dialog"], .panel';

function placesOf(button: Element): Place[] {
  const places: Place[] = [];
  for (let at = button; at.parentElement && !at.matches('main, [role="dialog"], body'); at = at.parentElement)
    places.push({ parent: at.parentElement, index: [...at.parentElement.children].indexOf(at) });
  return places;
}

const inside = (element: Element | undefined, like: string): HTMLElement | undefined => {
  if (!element) return undefined;
  const all = [
    ...(element.matches(TAKES) ? [element] : []),
    ...element.querySelectorAll(TAKES),
  ] as HTMLElement[];
  const seen = all.filter(
    (one) => one.getAttribute('tabindex') !== '-1' && one.closest('[aria-hidden="true"]') === null,
  );
  // The same button of the next in the list, where there is one.
  return seen.find((one) => like !== '' && firstWord(one) === like) ?? seen[0];
};

const firstWord = (element: Element): string =>
  (element.getAttribute('aria-label') ?? element.textContent ?? '').trim().split(' ')[0]!;

/** Where the focus goes when what had it is gone: to what stands in its place, then before it, then further out. */
export function nextTo(places: readonly Place[], like: string): HTMLElement | undefined {
  for (const { parent, index } of places) {
    if (!parent.isConnected || parent.closest(PART) === null) continue;
    const near = [parent.children[index], parent.children[index - 1], parent.children[index + 1]];
    for (const one of near) {
      const found = inside(one, like);
      if (found) return found;
    }
  }
  return undefined;
}

/** Keeps the focus near when a button takes itself away: after each removal one goes on from where one was. */
export function keepFocus(page: Document = document): () => void {
  const onClick = (event: MouseEvent): void => {
    const button = (event.target as Element | null)?.closest?.('button, a[href], [role="button"]');
    if (!button) return;
    const places = placesOf(button);
    const like = firstWord(button);
    const from = page.location.pathname;
    for (const wait of LOOKS)
      setTimeout(() => {
        // Another screen begins at its own top.
        if (button.isConnected || page.location.pathname !== from) return;
        if (page.activeElement !== null && page.activeElement !== page.body) return;
        nextTo(places, like)?.focus();
      }, wait);
  };
  page.addEventListener('click', onClick, true);
  return () => page.removeEventListener('click', onClick, true);
}
