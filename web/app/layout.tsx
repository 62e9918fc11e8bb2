import '@fontsource/ibm-plex-sans/400.css';
import '@fontsource/ibm-plex-sans/600.css';
import '@fontsource/ibm-plex-sans-condensed/400.css';
import '@fontsource/ibm-plex-sans-condensed/600.css';
import type { Metadata } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { NonceMark, StyleRegistry } from './registry';
import { layout as WORDS } from './words';

export const metadata: Metadata = { title: WORDS.rigidBeam, description: WORDS.description };

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? '';
  const appearance = (await cookies()).get('appearance')?.value;
  return (
    <html lang="en" data-appearance={appearance === 'day' || appearance === 'night' ? appearance : undefined}>
      <head>
        <NonceMark nonce={nonce} />
      </head>
      <body>
        <StyleRegistry nonce={nonce}>{children}</StyleRegistry>
      </body>
    </html>
  );
}
