import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { configure, render } from '@testing-library/react';
import type { ReactElement, ReactNode } from 'react';
import { DEFAULT_LADDER } from '@/core/life';
import type { ShopView } from '@/crib/shop';
import { type AppDoor, type SignedHere, Surround } from '@/ui/shell';

// What is looked for may take its time where other tests keep the machine busy.
configure({ asyncUtilTimeout: 10_000 });

export { answer } from './answers';

/** A shop with one person and the ladder as it begins. */
export const SHOP: ShopView = {
  people: [{ initials: 'IK', name: 'Ida', inUse: true }],
  places: [],
  materials: [],
  suppliers: [],
  machines: [],
  spindles: {},
  ladder: DEFAULT_LADDER,
  begun: { cutter: false, holder: false, stock: false, assembly: false, job: false },
  week: null,
  begins: null,
  closed: [],
};

/** Somebody who may do everything. */
const OWNER: SignedHere = {
  who: 'IK',
  name: 'Ida',
  role: 'owner',
  shared: false,
  handSeconds: null,
  barred: {},
};

/** The styles of the interface's library, in an element that is on no page. */
let styles: ReturnType<typeof createCache> | undefined;
/**
 * Keeps those styles out of the simulated page, which would hold each of hundreds of rules against each element whenever
 * something is looked for by its role. What they hide or show is the browser's to tell.
 */
const Unstyled = ({ children }: { children: ReactNode }) => (
  <CacheProvider value={(styles ??= createCache({ key: 'out', container: document.createElement('div') }))}>
    {children}
  </CacheProvider>
);

/** What the app would hand in, with every call kept; verbs answer as the test says. */
export function showIn(
  element: ReactElement,
  answer: AppDoor['perform'] = async () => ({ ok: true, done: { entry: 1 } }),
  unit: 'mm' | 'inch' = 'mm',
) {
  const calls: { verb: string; input: Record<string, unknown> }[] = [];
  const app: AppDoor = {
    perform: async (verb, input) => {
      calls.push({ verb, input });
      return answer(verb, input);
    },
    lookUp: async () => ({ href: null, said: '' }),
  };
  const shown = render(
    <Surround app={app} signed={OWNER} people={SHOP.people} zone="America/St_Johns" unit={unit}>
      {element}
    </Surround>,
    { wrapper: Unstyled },
  );
  return { ...shown, calls };
}

/** The same around an element that is drawn again and again; every verb answers that it is done. */
export function Surrounded({ children }: { children: ReactElement }) {
  const app: AppDoor = {
    perform: async () => ({ ok: true, done: { entry: 1, rungs: [] } }),
    lookUp: async () => ({ href: null, said: '' }),
  };
  return (
    <Unstyled>
      <Surround app={app} signed={OWNER} people={SHOP.people} zone="America/St_Johns" unit="mm">
        {children}
      </Surround>
    </Unstyled>
  );
}
