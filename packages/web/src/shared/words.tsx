import { createContext, useCallback, useContext } from 'react';
import { spoken, type Vocabulary } from '@long-miter/core';

/** The words of the job at hand; without a job those the product was written in. */
export const Words = createContext<Vocabulary | undefined>(undefined);

/** Says a text of ours in the words of the job. */
export function useSpoken(): (text: string) => string {
  const vocabulary = useContext(Words);
  return useCallback((text) => spoken(text, vocabulary), [vocabulary]);
}
