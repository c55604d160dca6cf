/** Cutting units (1/64 in, 0.1 mm). A length this little over a whole unit counts as whole when rounding up. */
export const WHOLE_UNIT = 1e-6;
