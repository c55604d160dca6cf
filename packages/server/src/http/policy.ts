import type { Actor } from './context.ts';
import type { Role } from './route.ts';

/**
 * Whether somebody may do what a route does. The one place where that is decided; until there are accounts everybody on
 * this machine may do everything.
 */
export const authorize = (_actor: Actor, _role: Role): boolean => true;
