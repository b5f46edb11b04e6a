import { useState } from 'react';
import type { Wall } from '@/core/assemblies';
import type { CutterGeometry } from '@/core/cutters';
import { type LengthUnit, parseLength, parseNumber } from '@/core/units';
import { Entry, Field, Fields } from '@/ui/kit/field';
import { Fold } from '@/ui/kit/page';

/** A wall beside the cut: told in three figures, drawn and judged while they are typed. */
export function Beside({
  unit,
  cutter,
  onWall,
}: {
  unit: LengthUnit;
  cutter: CutterGeometry;
  onWall: (wall: Wall | null) => void;
}) {
  const [texts, setTexts] = useState({ depth: '', radial: '', draft: '' });
  const type = (name: keyof typeof texts) => (e: { target: { value: string } }) => {
    const now = { ...texts, [name]: e.target.value };
    setTexts(now);
    const depth = parseLength(now.depth, unit)?.mm ?? null;
    const radial = now.radial.trim() === '' ? cutter.DC / 2 : (parseLength(now.radial, unit)?.mm ?? null);
    const draft = now.draft.trim() === '' ? 0 : parseNumber(now.draft);
    const told = depth !== null && depth > 0 && radial !== null && radial > 0 && draft !== null;
    onWall(told && draft >= 0 && draft <= 80 ? { depth, radial, draft } : null);
  };
  const word = unit === 'mm' ? 'mm' : 'in';
  return (
    <Fold label="Beside a wall">
      <Fields>
        <Field>
          <label htmlFor="wall-depth">Wall deep, {word}</label>
          <Entry id="wall-depth" inputMode="decimal" value={texts.depth} onChange={type('depth')} />
        </Field>
        <Field>
          <label htmlFor="wall-radial">From the axis, {word}</label>
          <Entry
            id="wall-radial"
            inputMode="decimal"
            value={texts.radial}
            placeholder="half of DC"
            onChange={type('radial')}
          />
        </Field>
        <Field>
          <label htmlFor="wall-draft">Draft, degrees a side</label>
          <Entry
            id="wall-draft"
            inputMode="decimal"
            value={texts.draft}
            placeholder="0"
            onChange={type('draft')}
          />
        </Field>
      </Fields>
    </Fold>
  );
}
