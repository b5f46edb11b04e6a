'use client';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { Link } from '@/ui/kit/link';
import type { ReactNode } from 'react';

/** One view of a screen: its words, its address, and whether it is the one that is shown. */
export interface View {
  words: ReactNode;
  href: string;
  shown: boolean;
}

/**
 * The views of one screen, of which one is shown. They are addresses and not panels: so they are links in a landmark,
 * each with its own stop of the Tab key.
 */
export function Views({ label, views, stay }: { label: string; views: readonly View[]; stay?: boolean }) {
  const shown = views.findIndex((v) => v.shown);
  return (
    <nav aria-label={label}>
      <Tabs value={shown < 0 ? false : shown} slotProps={{ list: { role: undefined } }}>
        {views.map((v) => (
          <Tab
            key={v.href}
            component={Link}
            href={v.href}
            scroll={stay ? false : undefined}
            label={v.words}
            role={undefined}
            aria-selected={undefined}
            tabIndex={0}
            aria-current={v.shown ? 'true' : undefined}
          />
        ))}
      </Tabs>
    </nav>
  );
}
