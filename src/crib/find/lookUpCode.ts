import { sum } from 'd3';
import { linkTo, readLabelCode } from '@/core/links';
import { first, sure } from '@/core/sure';
import { localDay } from '@/core/units';
import { catalogueView, loadItem } from '@/crib/catalogue';
import { staleLabel } from '@/crib/rack';
import { maybeAssembly, maybeStandingAssemblyOfPiece } from '@/data/assemblies';
import { maybeHold } from '@/data/breakage';
import { manyPurchasesOf } from '@/data/buying';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { maybeMarked } from '@/data/holders';
import { maybeJob } from '@/data/jobs';
import { manyMachines } from '@/data/shop';
import { maybePiece, maybePlace } from '@/data/stock';

/**
 * What a scanned code or typed words mean, and where it opens; `stale`: a printed label was scanned that says what is so no
 * more. Codes carry a letter by kind: A- assembly, E- cutter
 * piece, O- order, Q- held parts, H- holder with a mark of its own; jobs, items, places and machines by their own codes; anything else is words to find in the catalogue.
 */
export async function lookUpCode(
  c: Connection,
  text: string,
  zone: string,
): Promise<{ href: string | null; said: string; stale?: string }> {
  const label = readLabelCode(text);
  const code = label?.tag ?? text.trim();
  const upper = code.toUpperCase();
  const assembly = await maybeAssembly(c, upper);
  const stale = label && assembly ? await staleLabel(c, label, zone) : null;
  if (stale) return { href: linkTo('rack', { open: upper }), said: `opened · ${stale}`, stale };
  if (assembly)
    return assembly.takenDownEntryId === null
      ? {
          href: linkTo('rack', { open: assembly.tag }),
          said: 'opened beside the rack · scan it again to measure',
        }
      : {
          href: null,
          said: `was taken down on ${localDay(sure(assembly.takenDownAt, 'when it was taken down'), zone)}`,
        };
  const piece = await maybePiece(c, upper);
  if (piece) {
    const built = await maybeStandingAssemblyOfPiece(c, piece.id);
    if (built) return { href: linkTo('rack', { open: built.tag }), said: `is the cutter in ${built.tag}` };
    const item = await loadItem(c, piece.itemId);
    return {
      href: linkTo('cutters', { open: item.code }),
      said: `lies in ${piece.place ?? 'no place'}`,
    };
  }
  const lines = await manyPurchasesOf(c, upper);
  if (lines[0]) {
    const ordered = sum(lines, (l) => l.quantity);
    return {
      href: linkTo('buying', { order: lines[0].number }),
      said: `${ordered - sum(lines, (l) => l.received)} of ${ordered} open`,
    };
  }
  const marked = /^H-\d{4,}$/.test(upper) ? await maybeMarked(c, upper) : null;
  if (marked)
    return {
      href: linkTo('holders', { open: marked.mark }),
      said: `a ${marked.item}, ${marked.tag ? `in ${marked.tag}` : marked.place ? `in ${marked.place}` : 'where it was marked'}`,
    };
  const hold = /^Q-\d{4,}$/.test(upper) ? await maybeHold(c, upper) : null;
  if (hold) return { href: linkTo('held', { open: hold.number }), said: `held parts of ${hold.job}` };
  if (await maybeJob(c, code)) return { href: linkTo('jobs', { open: code }), said: 'opened' };
  if (await maybeItem(c, code)) return { href: linkTo('cutters', { open: code }), said: 'opened' };
  const machine = (await manyMachines(c)).find((m) => m.code.toUpperCase() === upper);
  if (machine) return { href: linkTo('machines', { open: machine.code }), said: 'opened' };
  const place = await maybePlace(c, upper);
  if (place) return { href: linkTo('cutters', { q: place.code }), said: `what lies in ${place.name}` };
  const found = await catalogueView(c, { q: code, limit: 1 });
  if (found.total === 1)
    return {
      href: linkTo('cutters', { open: first(found.lines).code }),
      said: `is ${first(found.lines).code}`,
    };
  if (found.total)
    return {
      href: linkTo('cutters', { q: code }),
      said: `${found.more ? 'more than ' : ''}${found.total} items answer to this`,
    };
  return { href: null, said: 'is not known here: check the code, or type words of it' };
}
