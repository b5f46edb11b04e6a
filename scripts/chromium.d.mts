export function chromiumHere(): string | undefined;
export function ensureChromium(): string | undefined;
