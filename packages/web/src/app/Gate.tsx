import type { ReactNode } from 'react';
import { useSessionQuery } from '../api/api.ts';
import { SignInPage } from '../features/crew/SignInPage.tsx';

/** Invitations lead to their own page; without a line the page works with what it has kept. */
const isInvitation = (): boolean => window.location.pathname.startsWith('/join/');

/** Lets nobody by who has to sign in first. Where the house is open, or cannot be asked, everything is as it was. */
export function Gate({ children }: { readonly children: ReactNode }) {
  const { data, isLoading } = useSessionQuery();
  if (isLoading) return null;
  if (data && !data.open && !data.me && !isInvitation()) return <SignInPage />;
  return children;
}
