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
function nextTo(places: readonly Place[], like: string): HTMLElement | undefined {
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

const DIALOG = '[role="dialog"]';
/** A list that has come up is a part of what it came up from. */
const OVER = `${DIALOG}, [role="menu"], [role="listbox"]`;

/**
 * Keeps the focus near when a button takes itself away: after each removal one goes on from where one was. A dialog that is
 * closed before it has taken the focus may leave it nowhere: it goes back to what opened it.
 */
export function keepFocus(page: Document = document): () => void {
  /** Gives the focus to what was last pressed outside of a dialog. */
  let goBack: (() => void) | undefined;
  const lost = (): boolean => page.activeElement === null || page.activeElement === page.body;
  const look = (then: () => void): void => {
    const from = page.location.pathname;
    for (const wait of LOOKS)
      setTimeout(() => {
        // Another screen begins at its own top.
        if (page.location.pathname === from && lost()) then();
      }, wait);
  };
  const backFrom = (dialog: Element): void => {
    const back = goBack;
    if (back) look(() => !dialog.isConnected && back());
  };
  const onClick = (event: MouseEvent): void => {
    const button = (event.target as Element | null)?.closest?.<HTMLElement>(
      'button, a[href], [role="button"], [role="menuitem"]',
    );
    if (!button) return;
    const places = placesOf(button);
    const like = firstWord(button);
    const dialog = button.closest(DIALOG);
    if (dialog) backFrom(dialog);
    else if (!button.closest(OVER))
      goBack = () => (button.isConnected ? button : nextTo(places, like))?.focus();
    look(() => !button.isConnected && nextTo(places, like)?.focus());
  };
  const onKey = (event: KeyboardEvent): void => {
    if (event.key !== 'Escape') return;
    const open = page.querySelector(DIALOG);
    if (open) backFrom(open);
  };
  page.addEventListener('click', onClick, true);
  page.addEventListener('keydown', onKey, true);
  return () => {
    page.removeEventListener('click', onClick, true);
    page.removeEventListener('keydown', onKey, true);
  };
}
