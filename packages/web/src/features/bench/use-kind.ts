import { useSearchParams } from 'react-router';

/** Which kind is practised, kept in the address so that a link leads to it; undefined takes any. */
export function useKind<K extends string>(
  kinds: readonly { readonly kind: K }[],
): readonly [kind: K | undefined, pick: (kind: string) => void] {
  const [params, setParams] = useSearchParams();
  const kind = kinds.find((one) => one.kind === params.get('kind'))?.kind;
  const pick = (value: string): void =>
    setParams(
      (before) => {
        const after = new URLSearchParams(before);
        if (value === '') after.delete('kind');
        else after.set('kind', value);
        return after;
      },
      { replace: true },
    );
  return [kind, pick];
}
