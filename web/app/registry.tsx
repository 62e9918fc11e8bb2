'use client';

import { useState, type ReactNode } from 'react';
import { useServerInsertedHTML } from 'next/navigation';
import { ServerStyleSheet, StyleSheetManager } from 'styled-components';
import { GlobalStyle } from '../ui/theme';

/** Collects styles on the server and marks them, there and in the browser, with the nonce of the page's policy. */
export function StyleRegistry({ nonce, children }: { readonly nonce: string; readonly children: ReactNode }) {
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
