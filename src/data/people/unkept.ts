import type { Connection } from '@/data/database';
import type { SessionRow } from './types';
import { deleteSession, insertSession, touchSession } from './write';

type Begun = Pick<SessionRow, 'person' | 'device' | 'begunAt'> & { tokenHash: string };

/** Numbers from which no written one is: a shop does not sign in so often. */
const UNWRITTEN = 2_000_000_000;
/** Sign-ins that are held at once; the first goes for one more. */
const MOST = 500;

/**
 * Sign-ins that began, were used or ended while the disk was too full to write them down. They hold in the memory of the process until
 * there is room, when they are written, or until it ends, when whoever began one signs in again.
 */
export class UnkeptSignIns {
  private readonly begun = new Map<string, SessionRow>();
  private readonly ended = new Set<number>();
  private readonly used = new Map<number, Date>();
  /** The number each has since it was written down, by the one it had before. */
  private readonly numbers = new Map<number, number>();
  private last = UNWRITTEN;
  private writing: Promise<void> | null = null;

  begin({ tokenHash, person, device, begunAt }: Begun): void {
    const [first] = this.begun.keys();
    if (first !== undefined && this.begun.size >= MOST) this.begun.delete(first);
    this.last += 1;
    const row = { id: this.last, person, device, begunAt, usedAt: begunAt };
    this.begun.set(tokenHash, { ...row, shared: false, atHand: null, handUntil: null });
  }

  /** Whether one began here, written down since or not. */
  holds = (id: number): boolean => id >= UNWRITTEN;
  /** Ends one, written down or not. */
  end(id: number): void {
    const written = this.numbers.get(id) ?? id;
    if (!this.holds(written)) this.ended.add(written);
    for (const [hash, row] of this.begun) if (row.id === id) this.begun.delete(hash);
  }

  /** It was used, written down or not. */
  touch(id: number, at: Date): void {
    const written = this.numbers.get(id) ?? id;
    if (!this.holds(written)) this.used.set(written, at);
    for (const row of this.begun.values()) if (row.id === id) row.usedAt = at;
  }

  maybe = (tokenHash: string): SessionRow | null => this.begun.get(tokenHash) ?? null;
  /** When a written one was used since that could be written; null: not since. */
  usedAt = (id: number): Date | null => this.used.get(id) ?? null;
  isEnded = (id: number): boolean => this.ended.has(id);
  ofPerson = (person: string): SessionRow[] => [...this.begun.values()].filter((s) => s.person === person);

  /** Writes all of it down, once for all who ask meanwhile. Fails where there is no room yet; then all holds as before. */
  async writeDown(c: Connection): Promise<void> {
    if (!this.begun.size && !this.ended.size && !this.used.size) return;
    this.writing ??= this.write(c).finally(() => (this.writing = null));
    return this.writing;
  }

  private async write(c: Connection): Promise<void> {
    for (const [tokenHash, { id, person, device, begunAt, usedAt }] of this.begun) {
      const written = await insertSession(c, { tokenHash, person, device, begunAt, usedAt });
      this.numbers.set(id, written);
      // Somebody may have signed out while it was written.
      if (!this.begun.delete(tokenHash)) this.ended.add(written);
    }
    for (const [id, at] of this.used) {
      await touchSession(c, id, at);
      this.used.delete(id);
    }
    for (const id of this.ended) {
      await deleteSession(c, id);
      this.ended.delete(id);
    }
  }
}
