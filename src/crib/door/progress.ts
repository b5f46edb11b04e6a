/** How far long work has come: rows of a list, done and of how many; null: nobody knows yet of how many. */
export interface Far {
  step: 'reading' | 'comparing' | 'laying down' | 'entering';
  done: number;
  of: number | null;
}
export type TellFar = (far: Far) => void;
export const tellNobody: TellFar = () => undefined;

/** How far work has come that somebody waits for, by the id that they sent with it: in memory, and only while it goes on. */
export class Progress {
  private readonly works = new Map<string, Far>();

  /** Does work that tells how far it has come. Without an id nobody asks. */
  async during<T>(id: string | undefined, work: (tell: TellFar) => Promise<T> | T): Promise<T> {
    if (id === undefined) return work(tellNobody);
    try {
      return await work((far) => void this.works.set(id, far));
    } finally {
      this.works.delete(id);
    }
  }

  /** null: nothing is done under this id, or it has told nothing yet. */
  of = (id: string): Far | null => this.works.get(id) ?? null;
}
