/** Sizes of the strip, in pixels: the band that pieces are drawn in, what is above it, the whole. */
export const BAND = 22;
export const TOP = 40;
export const HEIGHT = 96;
