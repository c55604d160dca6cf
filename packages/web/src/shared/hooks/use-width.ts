import { useElementSize } from '@mantine/hooks';
import type { RefCallback } from 'react';

/** Size of an element, for drawings that fill it; 0 until it is known. */
export function useWidth(): {
  readonly ref: RefCallback<HTMLDivElement | null>;
  readonly width: number;
  readonly height: number;
} {
  const { ref, width, height } = useElementSize<HTMLDivElement>();
  return { ref, width, height };
}
