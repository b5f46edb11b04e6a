import { fsyncSync } from 'node:fs';
import { NodeFS } from '@electric-sql/pglite/nodefs';

/** The part of Emscripten's module that is touched here; PGlite types none of it. */
interface EmscriptenFiles {
  NODEFS: { stream_ops: { fsync?: (stream: { nfd?: number }) => number } };
}

/**
 * PGlite's file system on a folder, with fsync made real: as shipped it does nothing, so that a power cut can
 * lose acknowledged commits. Counts its syncs, which is how the tests prove it.
 */
export class SyncedFiles extends NodeFS {
  syncs = 0;

  override async init(...args: Parameters<NodeFS['init']>): ReturnType<NodeFS['init']> {
    const answer = await super.init(...args);
    // Not in the types of the file system, but what Emscripten calls before it runs.
    const preRun = answer.emscriptenOpts.preRun as unknown as ((module: EmscriptenFiles) => void)[];
    preRun.push((module) => {
      module.NODEFS.stream_ops.fsync = (stream) => {
        this.syncs += 1;
        if (stream.nfd !== undefined) fsyncSync(stream.nfd);
        return 0;
      };
    });
    return answer;
  }
}
