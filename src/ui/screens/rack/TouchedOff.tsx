'use client';
import { useState } from 'react';
import { gaugeLengthFromTouch } from '@/core/measuring';
import type { ShopView } from '@/crib/shop';
import { Choice, Field, Fields } from '@/ui/kit/field';
import { Typed } from '@/ui/screens/common/Typed';
import { signedMm } from './signedMm';

/** A machine that a tool can be touched off in, for which its K is known. */
export type Touchable = Pick<ShopView['machines'][number], 'code' | 'units' | 'kMm'>;

/** A tool that was touched off in a machine: what its Z read there becomes a gauge length, for that machine and every other. */
export function TouchedOff({
  machines,
  onLength,
}: {
  machines: readonly Touchable[];
  /** mm, and in words where it was touched off. */
  onLength: (length: number, words: string) => void;
}) {
  const known = machines.filter((m) => m.kMm !== null);
  const [typed, setTyped] = useState({ machine: known[0]?.code ?? '', z: '', block: '', above: '' });
  if (known.length === 0) return <p className="soft small">K of no machine is known: find it first.</p>;
  const type = (to: Partial<typeof typed>) => {
    const now = { ...typed, ...to };
    setTyped(now);
    const machine = known.find((m) => m.code === now.machine);
    if (!machine) return;
    const mm = (text: string, blank: number | null) =>
      text.trim() === '' ? blank : signedMm(text, machine.units);
    const [z, block, above] = [mm(now.z, null), mm(now.block, 0), mm(now.above, 0)];
    if (z === null || block === null || above === null || machine.kMm === null) return;
    const { L } = gaugeLengthFromTouch(z, block, machine.kMm, above);
    if (L > 0) onLength(L, `touched off in ${machine.code} at ${now.z.trim()}`);
  };
  const unit = known.find((m) => m.code === typed.machine)?.units ?? 'mm';
  return (
    <Fields>
      <Field>
        <label htmlFor="touched-in">In</label>
        <Choice
          id="touched-in"
          style={{ width: '100%' }}
          value={typed.machine}
          onChange={(e) => type({ machine: e.target.value })}
        >
          {known.map((m) => (
            <option key={m.code}>{m.code}</option>
          ))}
        </Choice>
      </Field>
      <Typed
        label={`Machine Z at the touch, ${unit}`}
        inputMode="text"
        value={typed.z}
        onChange={(e) => type({ z: e.target.value })}
      />
      <Typed
        label={`Block under the tip, ${unit}`}
        inputMode="decimal"
        value={typed.block}
        onChange={(e) => type({ block: e.target.value })}
      />
      <Typed
        label={`Touched so far above the datum surface, ${unit}`}
        inputMode="decimal"
        placeholder="0"
        value={typed.above}
        onChange={(e) => type({ above: e.target.value })}
      />
    </Fields>
  );
}
