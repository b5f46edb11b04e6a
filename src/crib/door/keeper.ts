/** What is known of how this folder is kept: told by whoever keeps it, and no part of the ledger. */
export interface KeptFacts {
  /** The last backup that was opened and compared. */
  good: { at: string; folder: string; lastEntry: number } | null;
  /** The last try after it that came to nothing, and why. */
  failed: { at: string; why: string } | null;
  /** The last time all books were looked through, and what was wrong. */
  checked: { at: string; faults: string[] } | null;
  /** Whether there is a passphrase to lock backups with. */
  hasPassphrase: boolean;
  /** A demo's: it begins anew whenever it is wanted. */
  demo: boolean;
  /** The folder that is kept. */
  folder: string;
}

/** Keeps the folder of a crib: makes backups, looks through the books, writes all of it out. One thing at a time. */
export interface Keeper {
  facts(): KeptFacts;
  /** Names of backups in a folder, the newest first; null: the folder can’t be read. */
  backups(folder: string): string[] | null;
  /** Whether a folder lies on the disk of the data, so that both go with it; null: it is not there. */
  onTheSameDisk(folder: string): boolean | null;
  backUp(to: {
    folder: string;
    keep: number;
    locked: boolean;
  }): Promise<{ folder: string; lastEntry: number }>;
  check(): Promise<{ faults: string[] }>;
  /** All of it as open files; whoever takes the file away removes it. */
  archive(): Promise<{ file: string; name: string }>;
  setPassphrase(passphrase: string | null): void;
}
