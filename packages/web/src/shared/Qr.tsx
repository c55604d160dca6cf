import qrcode from 'qrcode-generator';
import { useMemo } from 'react';
import { t } from '../messages/t.ts';

/** A code that a phone's camera opens an address from. */
export function Qr({ text, size }: { readonly text: string; readonly size: string }) {
  const { count, path } = useMemo(() => {
    // The smallest that holds it, legible with a seventh of it lost to dust.
    const code = qrcode(0, 'M');
    code.addData(text);
    code.make();
    const n = code.getModuleCount();
    let made = '';
    for (let y = 0; y < n; y++)
      for (let x = 0; x < n; x++) if (code.isDark(y, x)) made += `M${x} ${y}h1v1h-1z`;
    return { count: n, path: made };
  }, [text]);
  // Four modules of white all round belong to it.
  return (
    <svg
      viewBox={`-4 -4 ${count + 8} ${count + 8}`}
      style={{ width: size, height: size, flex: 'none', background: '#fff' }}
      role="img"
      aria-label={t('Code for {text}', { text })}
    >
      <path d={path} fill="#000" shapeRendering="crispEdges" />
    </svg>
  );
}
