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

/** The same button of what stands there. Another one must not get the focus: pressed once more it would do something else. */
const inside = (element: Element | undefined, like: string): HTMLElement | undefined => {
  if (!element || like === '') return undefined;
  const all = [
    ...(element.matches(TAKES) ? [element] : []),
    ...element.querySelectorAll(TAKES),
  ] as HTMLElement[];
  return all.find(
    (one) =>
      one.getAttribute('tabindex') !== '-1' &&
      one.closest('[aria-hidden="true"]') === null &&
      firstWord(one) === like,
  );
};

const firstWord = (element: Element): string =>
  (element.getAttribute('aria-label') ?? element.textContent ?? '').trim().split(' ')[0]!;

/** Where the focus goes when what had it is gone: to the same button of what stands in its place or beside it, else to the part around. */
export function nextTo(places: readonly Place[], like: string): HTMLElement | undefined {
  const left = places.filter(({ parent }) => parent.isConnected && parent.closest(PART) !== null);
  for (const { parent, index } of left)
    for (const one of [parent.children[index], parent.children[index - 1], parent.children[index + 1]]) {
      const found = inside(one, like);
      if (found) return found;
    }
  const part = left[0]?.parent.closest<HTMLElement>(PART);
  // It is read from here on; pressed, it does nothing.
  if (part && !part.hasAttribute('tabindex')) part.setAttribute('tabindex', '-1');
  return part ?? undefined;
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
