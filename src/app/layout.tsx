import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@/ui/kit/theme/stable.css';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { mayDo, whoMay } from '@/core/people';
import type { Signed } from '@/crib/door';
import { shopView } from '@/crib/shop';
import { todayView } from '@/crib/today';
import { VERBS } from '@/crib/verbs';
import { ThemeRoot } from '@/ui/kit/theme/ThemeRoot';
import { Shell, Surround } from '@/ui/shell';
import { lookUp, perform } from './actions';
import { askedAtGate, crib } from './server/crib';
import { openFor } from './server/views';

export const metadata: Metadata = { title: 'Stable', description: 'The tool crib’s own program' };
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** What they may not do, each with who may: a screen says it instead of failing. Nobody at hand yet: that is known later. */
function barredFor(signed: Signed): Record<string, string> {
  if (signed.who === null) return {};
  return Object.fromEntries(
    VERBS.filter((v) => !mayDo(signed.role, v.may)).map((v) => [v.name, whoMay(v.may)]),
  );
}

export default async function Layout({ children }: { children: ReactNode }) {
  const said = await headers();
  const nonce = said.get('x-nonce') ?? undefined;
  // Whom the gate asked: at the door itself nobody was, whoever they are.
  const signed = askedAtGate(said.get('x-stable-ticket'));
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data-scheme" defaultMode="system" nonce={nonce} />
        <AppRouterCacheProvider options={{ nonce }}>
          <ThemeRoot>{signed ? await inShell(signed, children) : children}</ThemeRoot>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}

/** The screens of whoever signed in; the page to sign in stands by itself. */
async function inShell(signed: Signed, children: ReactNode): Promise<ReactNode> {
  const { view } = await openFor(signed);
  const open = await crib();
  const jar = await cookies();
  const shop = await view(shopView);
  const today = await view(todayView);
  const people = shop.people.filter((p) => p.inUse);
  const until = signed.session?.handUntil ?? null;
  return (
    <Surround
      app={{ perform, lookUp }}
      signed={{
        who: signed.who,
        name: people.find((p) => p.initials === signed.who)?.name ?? null,
        role: signed.role,
        shared: signed.session?.shared ?? false,
        handSeconds: until && (until.getTime() - open.now().getTime()) / 1000,
        barred: barredFor(signed),
      }}
      people={people}
      zone={open.zone}
      unit={jar.get('stable_unit')?.value === 'inch' ? 'inch' : 'mm'}
    >
      <Shell counts={{ today: today.lines.length, ...today.counts }} demo={open.demo}>
        {children}
      </Shell>
    </Surround>
  );
}
