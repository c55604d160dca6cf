import { t } from '../messages/t.ts';
/** The first thing that a key reaches: past the head, to what one works at. */
export const SkipLink = () => (
  <a
    className="skip-link no-print"
    href="#root"
    onClick={(event) => {
      event.preventDefault();
      const main = document.querySelector('main');
      main?.setAttribute('tabindex', '-1');
      main?.focus();
    }}
  >
    {t('Skip to the work')}
  </a>
);
