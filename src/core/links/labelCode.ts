/** What the code of a printed label says: the assembly, the measurement it was printed of, and what stood on it. */
export interface LabelCode {
  tag: string;
  /** The entry of the measurement; 0: none counted. */
  measurement: number;
  /** Three signs that change with any figure printed on it. */
  print: string;
}

/**
 * The text of a label's code: the tag, then the measurement and what was printed, so that a scan of an old label is known
 * for one. Example: tag A-0042, measurement 1234, print k3f -> 'A-0042/YA.K3F'.
 */
export const labelCode = ({ tag, measurement, print }: LabelCode): string =>
  `${tag}/${measurement.toString(36)}.${print}`.toUpperCase();

/** Reads the code of a label; null: it is some other code. Example: 'A-0042/YA.K3F' -> A-0042, 1234, k3f. */
export function readLabelCode(text: string): LabelCode | null {
  const [, tag, measurement, print] =
    /^(A-\d{4,9})\/([0-9A-Z]{1,7})\.([0-9A-Z]{3})$/.exec(text.trim().toUpperCase()) ?? [];
  if (!tag || !measurement || !print) return null;
  return { tag, measurement: parseInt(measurement, 36), print: print.toLowerCase() };
}

/** Three signs of what is printed: equal figures have equal ones, others nearly always not (1 in 46,656). FNV-1a, 32 bit. */
export function printOf(lines: readonly string[]): string {
  let hash = 0x811c9dc5;
  for (const sign of lines.join('\n')) hash = Math.imul(hash ^ (sign.codePointAt(0) ?? 0), 0x01000193) >>> 0;
  return (hash % 46_656).toString(36).padStart(3, '0');
}
