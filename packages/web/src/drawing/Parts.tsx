import { useDrag } from '@use-gesture/react';
import { useCallback, type KeyboardEvent, type ReactNode, type SVGProps } from 'react';

/** How far and where to something is dragged, in pixels of the screen. */
export interface Dragged {
  readonly dx: number;
  readonly dy: number;
  readonly x: number;
  readonly y: number;
  /** The last word about it; with `off` it was broken off, and everything is as it was before. */
  readonly last: boolean;
  readonly off: boolean;
}

type Nudge = 'left' | 'right' | 'up' | 'down';

/** What a part does when it is moved: by a pointer, or by Shift and an arrow key. */
export interface Moved {
  readonly onDrag: (dragged: Dragged) => void;
  readonly onNudge: (to: Nudge) => void;
}

interface PartProps extends Omit<SVGProps<SVGGElement>, 'ref' | 'onClick'> {
  /** What is drawn: a wall, a piece, an opening, by its id. */
  readonly of: string;
  /** What a screen reader says of it. */
  readonly label: string;
  readonly picked?: boolean;
  readonly onPick?: (() => void) | undefined;
  readonly moved?: Moved | undefined;
  readonly children: ReactNode;
}

const NUDGES: Readonly<Record<string, Nudge>> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
};

/** A part of a drawing that can be picked, and where it may be moved, moved: by pointer and by keyboard alike. */
export function PickablePart({ moved, ...props }: PartProps) {
  return moved ? <MovablePart {...props} moved={moved} /> : <StillPart {...props} />;
}

function StillPart({
  of,
  label,
  picked,
  onPick,
  children,
  onKeyDown,
  className,
  ...rest
}: Omit<PartProps, 'moved'>) {
  const onKey = (event: KeyboardEvent<SVGGElement>): void => {
    onKeyDown?.(event);
    if ((event.key !== 'Enter' && event.key !== ' ') || event.target !== event.currentTarget) return;
    event.preventDefault();
    onPick?.();
  };
  return (
    <g
      role="button"
      tabIndex={-1}
      aria-label={label}
      aria-pressed={picked ?? false}
      data-ref={of}
      className={`click part ${className ?? ''}`}
      onClick={(event) => {
        // What lies on a wall is picked itself, not the wall under it.
        if ((event.target as Element).closest('[data-ref]') === event.currentTarget) onPick?.();
      }}
      onKeyDown={onKey}
      {...rest}
    >
      {children}
    </g>
  );
}

const BROKEN_OFF: ReadonlySet<string> = new Set(['pointercancel', 'lostpointercapture']);

function MovablePart({ moved, style, ...props }: PartProps & { moved: Moved }) {
  const bind = useDrag(
    ({ movement: [dx, dy], xy: [x, y], last, canceled, event, tap }) => {
      if (tap) return;
      moved.onDrag({ dx, dy, x, y, last, off: last && (canceled || BROKEN_OFF.has(event.type)) });
    },
    { filterTaps: true, threshold: 4, preventDefault: true },
  );
  const onKey = (event: KeyboardEvent<SVGGElement>): void => {
    const to = NUDGES[event.key];
    if (!event.shiftKey || to === undefined || event.target !== event.currentTarget) return;
    event.preventDefault();
    event.stopPropagation();
    moved.onNudge(to);
  };
  return <StillPart {...props} {...bind()} style={{ ...style, touchAction: 'none' }} onKeyDown={onKey} />;
}

const partsOf = (svg: SVGSVGElement): SVGGElement[] => [...svg.querySelectorAll<SVGGElement>('[data-ref]')];

/** Makes one part the stop of the Tab key; the arrows go on from it. */
function stopAt(parts: readonly SVGGElement[], stop: SVGGElement | undefined): void {
  for (const part of parts) part.setAttribute('tabindex', part === stop ? '0' : '-1');
}

/** The frame of a drawing: one stop of the Tab key, arrows from part to part, Enter picks, Shift and arrows move. */
export function PartsSvg({ label, children, ...rest }: SVGProps<SVGSVGElement> & { label: string }) {
  // Parts come and go: after each of it there is one stop again.
  const frame = useCallback((svg: SVGSVGElement | null) => {
    if (!svg) return undefined;
    const keepStop = (): void => {
      const parts = partsOf(svg);
      if (parts.filter((part) => part.getAttribute('tabindex') === '0').length !== 1) stopAt(parts, parts[0]);
    };
    keepStop();
    const watch = new MutationObserver(keepStop);
    watch.observe(svg, { childList: true, subtree: true });
    return () => watch.disconnect();
  }, []);
  const onKey = (event: KeyboardEvent<SVGSVGElement>): void => {
    if (event.shiftKey || event.altKey || event.ctrlKey || event.metaKey) return;
    const parts = partsOf(event.currentTarget);
    const at = parts.indexOf(event.target as SVGGElement);
    const next =
      event.key === 'ArrowRight' || event.key === 'ArrowDown'
        ? parts[at + 1]
        : event.key === 'ArrowLeft' || event.key === 'ArrowUp'
          ? parts[at - 1]
          : event.key === 'Home'
            ? parts[0]
            : event.key === 'End'
              ? parts.at(-1)
              : undefined;
    if (at < 0 || !next) return;
    event.preventDefault();
    event.stopPropagation();
    next.focus();
  };
  return (
    <svg
      ref={frame}
      role="group"
      aria-label={label}
      onKeyDown={onKey}
      onFocus={(event) => {
        const part = event.target.closest<SVGGElement>('[data-ref]');
        if (part) stopAt(partsOf(event.currentTarget), part);
      }}
      {...rest}
    >
      {children}
    </svg>
  );
}
