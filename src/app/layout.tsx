import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@/ui/kit/theme/stable.css';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { shopView } from '@/crib/shop';
import { todayView } from '@/crib/today';
import { ThemeRoot } from '@/ui/kit/theme/ThemeRoot';
import { Shell, Surround } from '@/ui/shell';
import { lookUp, perform, pickWho } from './actions';
import { crib } from './server/crib';
import { openForPage } from './server/views';

export const metadata: Metadata = { title: 'Stable', description: 'The tool crib’s own program' };
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function Layout({ children }: { children: ReactNode }) {
  const { view } = await openForPage();
  const open = await crib();
  const jar = await cookies();
  const shop = await view(shopView);
  const today = await view(todayView);
  const people = shop.people.filter((p) => p.inUse);
  const who = people.find((p) => p.initials === jar.get('stable_who')?.value)?.initials ?? null;
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data-scheme" defaultMode="system" />
        <AppRouterCacheProvider>
          <ThemeRoot>
            <Surround
              app={{ perform, lookUp, pickWho }}
              who={who}
              zone={open.zone}
              unit={jar.get('stable_unit')?.value === 'inch' ? 'inch' : 'mm'}
            >
              <Shell counts={{ today: today.lines.length, ...today.counts }} people={people} demo={open.demo}>
                {children}
              </Shell>
            </Surround>
          </ThemeRoot>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
