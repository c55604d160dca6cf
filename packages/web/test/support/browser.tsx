import { MantineProvider } from '@mantine/core';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { makeStore, type Store } from '../../src/session/store.ts';
import { theme, variables } from '../../src/app/theme.ts';

/** What Mantine asks of a browser and jsdom does not have. Elements are as wide as a desktop panel. */
export function stubBrowser(): void {
  window.matchMedia = (query: string) =>
    ({
      matches: false,
      media: query,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      addListener: () => undefined,
      removeListener: () => undefined,
    }) as unknown as MediaQueryList;
  const box = { width: 900, height: 500, top: 0, left: 0, bottom: 500, right: 900, x: 0, y: 0 };
  window.ResizeObserver = class {
    private readonly report: ResizeObserverCallback;
    constructor(report: ResizeObserverCallback) {
      this.report = report;
    }
    observe(target: Element): void {
      this.report([{ target, contentRect: box } as unknown as ResizeObserverEntry], this);
    }
    unobserve(): void {}
    disconnect(): void {}
  };
  window.requestAnimationFrame = (run) => {
    run(0);
    return 0;
  };
  Element.prototype.scrollIntoView = () => undefined;
}

/** Popovers and loading buttons ask for a frame and need its number before the frame comes. */
export function framesComeLater(): void {
  window.requestAnimationFrame = (run) => {
    queueMicrotask(() => run(0));
    return 0;
  };
}

/** Renders inside the application's own theme and store. */
export function show(what: ReactNode, store: Store = makeStore()) {
  const tree = (inner: ReactNode) => (
    <Provider store={store}>
      <MantineProvider theme={theme} cssVariablesResolver={variables}>
        {inner}
      </MantineProvider>
    </Provider>
  );
  const view = render(tree(what));
  return { store, ...view, again: (next: ReactNode) => view.rerender(tree(next)) };
}
