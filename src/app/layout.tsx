import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { FigureNewsNotice } from '@/ui/figure-news-notice';
import { LookingNotice } from '@/ui/looking-notice';
import { NOTES_EARLY_CHOICES } from '@/ui/notes-early-choices';
import { PoursProvider } from '@/ui/pours/pours-provider';
import { SettingsProvider } from '@/ui/settings/settings-provider';
import { DueTimer } from '@/ui/timers/due-timer';
import { figureNews, kitchenPours } from './kitchen-pours';
import { kitchenSettings } from './kitchen-settings';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Dark Pour', template: '%s · Dark Pour' },
  description: 'Formulate chocolate sauces, ganaches and glazes.',
};

/** Every page carries the nonce of its own answer, so none is made ahead. */
export const dynamic = 'force-dynamic';

export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#182022' };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const theme = (await cookies()).get('dark-pour-theme')?.value === 'night' ? 'night' : 'day';
  return (
    <html lang="en" data-theme={theme}>
      <head>
        <script
          nonce={(await headers()).get('x-nonce') ?? undefined}
          // biome-ignore lint/security/noDangerouslySetInnerHtml: our own words, the same on every page
          dangerouslySetInnerHTML={{ __html: NOTES_EARLY_CHOICES }}
          suppressHydrationWarning
        />
      </head>
      <body>
        <SettingsProvider settings={await kitchenSettings()}>
          <PoursProvider knowledge={await kitchenPours()}>{children}</PoursProvider>
          <LookingNotice />
          <DueTimer />
          <FigureNewsNotice news={await figureNews()} />
        </SettingsProvider>
      </body>
    </html>
  );
}
