import { Caution } from '@/ui/kit/page';

/** Beside wherever inserts are turned or put in. */
export const SeatCaution = () => (
  <Caution>
    An insert on a chip, or in a bent seat, comes loose at speed. Wear gloves, clean each seat, and tighten
    with the torque key its maker names.
  </Caution>
);
