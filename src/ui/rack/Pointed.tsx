'use client';
import { type Ref, useImperativeHandle, useState } from 'react';
import { useLengths } from '@/ui/shell';
import type { RackSlot } from './slot';

/**
 * The numbers of the assembly that is pointed at or has the focus; it keeps its height, so that nothing jumps. Which one is its own
 * to know: the rack above it, which may be long, is not drawn again for it.
 */
export function Pointed({ at }: { at: Ref<(slot: RackSlot) => void> }) {
  const [slot, setSlot] = useState<RackSlot | null>(null);
  useImperativeHandle(at, () => setSlot, []);
  const { show, unitWord } = useLengths();
  const card = slot?.card ?? null;
  const words =
    slot === null
      ? []
      : card === null
        ? [
            slot.title,
            slot.missing ?? 'to build',
            slot.reachMm === null ? '' : `reach ${show(slot.reachMm, 1)}`,
          ]
        : [
            `${slot.title} ${card.tag}`,
            card.cutter.words,
            `in ${card.holder.code}`,
            card.measured.lengthMm === null
              ? card.measured.state
              : `${card.measured.state === 'measured' ? 'length' : 'in question,'} ${show(card.measured.lengthMm)} ${unitWord}`,
            `stickout ${show(card.stickoutMm, 1)}`,
            slot.reachMm === null ? '' : `reach wanted ${show(slot.reachMm, 1)}`,
            card.life.leftMinutes === null ? '' : `${Math.round(card.life.leftMinutes)} min left`,
            card.wear === null ? '' : `wear ${Math.round(card.wear * 100)} % of its limit`,
            slot.use.why ?? '',
          ];
  return (
    // Whoever hears the page has all of it in the name of the link.
    <div aria-hidden="true" className="small" style={{ minHeight: 40 }}>
      {words.filter(Boolean).join(' · ') || (
        <span className="soft">Point at one, or step with the arrow keys.</span>
      )}
    </div>
  );
}
