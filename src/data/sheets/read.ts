import { type Connection, many, maybeOne } from '@/data/database';
import type { SheetPartRow, SheetRow } from './types';

const SHEET = `select s.*, e.happened_at, e.who from build_sheet s join live_entry e on e.id = s.entry_id`;

/** The version in force of each build sheet, by code. The codes are found one after another by their index. */
export const manySheetsNow = (c: Connection) =>
  many<SheetRow>(
    c,
    `with recursive known (code) as (
       (select s.code from build_sheet s order by s.code limit 1)
       union all
       select (select s.code from build_sheet s where s.code > k.code order by s.code limit 1) from known k where k.code is not null
     )
     select l.* from known k cross join lateral (${SHEET} where s.code = k.code order by s.version desc limit 1) l
     where k.code is not null order by l.code`,
  );
/** The same of some codes. */
export const manySheetsByCode = (c: Connection, codes: readonly string[]) =>
  many<SheetRow>(
    c,
    `select distinct on (s.code) s.*, e.happened_at, e.who from build_sheet s join live_entry e on e.id = s.entry_id
     where s.code = any ($1) order by s.code, s.version desc`,
    [codes],
  );
/** The version of a build sheet that is in force; null: there is no such sheet. */
export const maybeSheetNow = (c: Connection, code: string) =>
  maybeOne<SheetRow>(c, `${SHEET} where s.code = $1 order by s.version desc limit 1`, [code]);
/** All versions of a build sheet that stand, the newest first. */
export const manySheetVersions = (c: Connection, code: string) =>
  many<SheetRow>(c, `${SHEET} where s.code = $1 order by s.version desc`, [code]);
/** The highest number a version of it ever had, taken back or not: none is used again. */
export const highestVersion = async (c: Connection, code: string): Promise<number> =>
  (
    await maybeOne<{ version: number }>(
      c,
      `select version from build_sheet where code = $1 order by version desc limit 1`,
      [code],
    )
  )?.version ?? 0;

/** The parts of some sheets, from the spindle down. */
export const manySheetParts = (c: Connection, sheetIds: readonly number[]) =>
  many<SheetPartRow>(
    c,
    `select p.sheet_id, p.item_id, p.out_mm, p.out_entered from build_sheet_part p where p.sheet_id = any ($1)
     order by p.sheet_id, p.place_in_stack`,
    [sheetIds],
  );

/** What an assembly was built from; null: from no sheet. */
export const maybeBuiltFrom = (c: Connection, assemblyId: number) =>
  maybeOne<{
    code: string;
    version: number;
    isTorqued: boolean;
    leastMm: number | null;
    mostMm: number | null;
  }>(
    c,
    `select s.code, s.version, b.is_torqued, s.least_mm, s.most_mm from built_from b join build_sheet s on s.id = b.sheet_id where b.assembly_id = $1`,
    [assemblyId],
  );
/** What some assemblies were built from; those of no sheet are left out. */
export const manyBuiltFrom = (c: Connection, assemblyIds: readonly number[]) =>
  many<{ assemblyId: number; code: string; version: number }>(
    c,
    `select b.assembly_id, s.code, s.version from built_from b join build_sheet s on s.id = b.sheet_id where b.assembly_id = any ($1)`,
    [assemblyIds],
  );
/** Assemblies that stand and were built from a sheet, whatever its version. */
export const manyStandingFrom = (c: Connection, code: string) =>
  many<{ tag: string; version: number }>(
    c,
    `select a.tag, s.version from build_sheet s join built_from b on b.sheet_id = s.id
     join assembly_now n on n.assembly_id = b.assembly_id join assembly a on a.id = n.assembly_id
     where s.code = $1 order by a.tag`,
    [code],
  );
