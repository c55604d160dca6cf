import { useVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/** Up to so many rows a list is simply there as a whole. */
const SHORT = 80;

interface Props<T> {
  readonly items: readonly T[];
  readonly keyOf: (item: T) => string;
  /** Height of a row before it has been measured, in pixels. */
  readonly height: number;
  readonly row: (item: T, index: number) => ReactNode;
  /** The row that must be in sight; -1 for none. */
  readonly show?: number;
}

/** A list of which only what is in sight is drawn, within the nearest part of the page that scrolls. */
export function Windowed<T>(props: Props<T>) {
  return props.items.length > SHORT ? <LongList {...props} /> : <ShortList {...props} />;
}

function ShortList<T>({ items, keyOf, row, show = -1 }: Props<T>) {
  const shown = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    shown.current?.scrollIntoView({ block: 'nearest' });
  }, [show]);
  return items.map((item, index) => (
    <div key={keyOf(item)} {...(index === show ? { ref: shown } : {})}>
      {row(item, index)}
    </div>
  ));
}

function LongList<T>({ items, keyOf, height, row, show = -1 }: Props<T>) {
  const host = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(0);
  const rows = useVirtualizer({
    count: items.length,
    getScrollElement: () => host.current?.closest<HTMLElement>('.scroll') ?? null,
    estimateSize: () => height,
    getItemKey: (index) => keyOf(items[index]!),
    scrollMargin: above,
    overscan: 6,
  });
  useLayoutEffect(() => {
    const scroll = host.current?.closest<HTMLElement>('.scroll');
    if (!host.current || !scroll) return;
    setAbove(
      host.current.getBoundingClientRect().top - scroll.getBoundingClientRect().top + scroll.scrollTop,
    );
  }, [items]);
  useLayoutEffect(() => {
    if (show >= 0) rows.scrollToIndex(show, { align: 'auto' });
  }, [show]); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <div ref={host} style={{ position: 'relative', height: rows.getTotalSize() }}>
      {rows.getVirtualItems().map((one) => (
        <div
          key={one.key}
          ref={rows.measureElement}
          data-index={one.index}
          style={{
            position: 'absolute',
            top: 0,
            left: 0,
            right: 0,
            transform: `translateY(${one.start - above}px)`,
          }}
        >
          {row(items[one.index]!, one.index)}
        </div>
      ))}
    </div>
  );
}
