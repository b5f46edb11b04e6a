import { type Connection, inserts, many } from '@/data/database';
import type { SheetMust } from '@/data/sheets';

/** What each T of an operation is planned to be, and what was pulled for it. */

export interface ToolPlanRow {
  entryId: number;
  operationId: number;
  t: number;
  does: string | null;
  itemId: number | null;
  sheetCode: string | null;
  must: SheetMust | null;
  leavesSideMm: number | null;
  leavesFloorMm: number | null;
  /** The recipe it is to run by. */
  recipeId: number | null;
  who: string;
  happenedAt: Date;
}

/** What is planned on each T of some operations, by T. */
export const manyToolPlans = (c: Connection, operationIds: readonly number[]) =>
  many<ToolPlanRow>(
    c,
    `select l.* from (select distinct on (x.operation_id, x.t) x.*, e.who, e.happened_at from tool_plan x join live_entry e on e.id = x.entry_id
       where x.operation_id = any ($1) order by x.operation_id, x.t, e.happened_at desc, e.id desc) l
     where not l.gone order by l.operation_id, l.t`,
    [operationIds],
  );

/** `must` is JSON. */
export const insertToolPlan = inserts<{
  operationId: number;
  t: number;
  does?: string | null;
  itemId?: number | null;
  sheetCode?: string | null;
  must?: string | null;
  leavesSideMm?: number | null;
  leavesFloorMm?: number | null;
  recipeId?: number | null;
  gone: boolean;
}>('tool_plan');

export interface KitMoveRow {
  entryId: number;
  operationId: number;
  assemblyId: number;
  isPulled: boolean;
  cart: string | null;
  who: string;
  happenedAt: Date;
}
/** Whether some assemblies are off the rack: the latest word of each. */
export const manyKitMoves = (c: Connection, assemblyIds: readonly number[]) =>
  many<KitMoveRow>(
    c,
    `select distinct on (x.assembly_id) x.*, p.code as cart, e.who, e.happened_at from kit_move x join live_entry e on e.id = x.entry_id
     left join place p on p.id = x.cart_id
     where x.assembly_id = any ($1) order by x.assembly_id, e.happened_at desc, e.id desc`,
    [assemblyIds],
  );
export const insertKitMove = inserts<{
  operationId: number;
  assemblyId: number;
  isPulled: boolean;
  cartId?: number | null;
}>('kit_move');
