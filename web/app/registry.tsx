'use client';

import { useState, type ReactNode } from 'react';
import { useServerInsertedHTML } from 'next/navigation';
import { ServerStyleSheet, StyleSheetManager } from 'styled-components';
import { GlobalStyle } from '../ui/theme';

/** Where styled-components and React Aria look for the nonce of the styles that they add. */
export function NonceMark({ nonce: current }: { readonly nonce: string }) {
  const [nonce] = useState(current);
  return <meta property="csp-nonce" nonce={nonce} />;
}

/** Collects styles on the server and marks them, there and in the browser, with the nonce of the page's policy. */
export function StyleRegistry({ nonce: current, children }: { readonly nonce: string; readonly children: ReactNode }) {
  // The policy is that of the page as it was first loaded: a refresh brings another nonce, which the browser would not accept.
  const [nonce] = useState(current);
  const [sheet] = useState(() => new ServerStyleSheet({ nonce }));
  useServerInsertedHTML(() => {
    const styles = sheet.getStyleElement();
    sheet.instance.clearTag();
    return <>{styles}</>;
  });
  const content = (
    <>
      <GlobalStyle />
      {children}
    </>
  );
  if (typeof window !== 'undefined') return <StyleSheetManager nonce={nonce}>{content}</StyleSheetManager>;
  return <StyleSheetManager sheet={sheet.instance}>{content}</StyleSheetManager>;
}
