import { Switch } from '@mantine/core';
import { useState, type PointerEvent } from 'react';
import type { Unit } from '@long-miter/core';
import { t } from '../../messages/t.ts';

const SIXTEENTHS = Array.from({ length: 15 }, (_, i) => {
  const n = i + 1;
  const by = n % 8 === 0 ? 8 : n % 4 === 0 ? 4 : n % 2 === 0 ? 2 : 1;
  return `${n / by}/${16 / by}`;
});

/** Types into the field one stands in, as the keyboard would. */
function type(change: (text: string) => string): void {
  const field = document.activeElement;
  if (!(field instanceof HTMLInputElement)) return;
  const whole = field.selectionStart === 0 && field.selectionEnd === field.value.length;
  const next = change(whole ? '' : field.value);
  // React listens for the native setter's event, not for a changed property.
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!.call(field, next);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

const enter = (): void =>
  void document.activeElement?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));

/** Large keys for a tablet: whole inches, then one tap for the sixteenth. The field keeps the focus while one taps. */
export function FigurePad({ unit }: { unit: Unit }) {
  const [on, setOn] = useState(() => window.matchMedia('(pointer: coarse)').matches);
  const key = (label: string, act: () => void, name = label) => (
    <button
      key={name}
      type="button"
      aria-label={name}
      onPointerDown={(event: PointerEvent) => {
        event.preventDefault();
        act();
      }}
    >
      {label}
    </button>
  );
  return (
    <>
      <Switch
        size="sm"
        label={t('figure pad')}
        checked={on}
        onChange={(event) => setOn(event.currentTarget.checked)}
      />
      {on && (
        <div className="figure-pad" role="group" aria-label={t('Figure pad')}>
          <div className="figure-keys">
            {['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.'].map((digit) =>
              key(digit, () => type((text) => text + digit)),
            )}
            {key('⌫', () => type((text) => text.slice(0, -1)), 'back')}
          </div>
          {unit === 'in' && (
            <div className="figure-fractions">
              {SIXTEENTHS.map((fraction) =>
                key(fraction, () =>
                  // One tap replaces a fraction that stands there already.
                  type((text) => `${text.replace(/\s*\d+\/\d+$/, '').trim()} ${fraction}`.trim()),
                ),
              )}
            </div>
          )}
          <div className="figure-side">
            {["'", 'a', 'd', 'w'].map((letter) => key(letter, () => type((text) => text + letter)))}
            {key('next', enter)}
          </div>
        </div>
      )}
    </>
  );
}
