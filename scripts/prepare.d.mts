/** Builds the present sources into a folder of builds, unless they stand there built already. */
export function ensureBuilt(dist?: string): Promise<void>;
