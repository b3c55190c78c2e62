import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Dark Pour', template: '%s · Dark Pour' },
  description: 'Formulate chocolate sauces, ganaches and glazes.',
};

/** Every page carries the nonce of its own answer, so none is made ahead. */
export const dynamic = 'force-dynamic';

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#182022' };

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>{children}</body>
    </html>
  );
}
