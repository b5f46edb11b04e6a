/** Resolves when no button or finger is down: at once where none is. What is pressed must not move away from under it. */
export function released(): Promise<void> {
  listen();
  if (!pressed) return Promise.resolve();
  return new Promise((resolve) => waiting.push(resolve));
}

let listening = false;
let pressed = false;
let waiting: (() => void)[] = [];

/** From the first screen that asks on, so that a press which began before its answer is known. */
export function listen(): void {
  if (listening) return;
  listening = true;
  addEventListener('pointerdown', () => (pressed = true), true);
  // A finger that scrolls ends in 'cancel'. The click of this press comes after 'up', in the same turn.
  for (const end of ['pointerup', 'pointercancel']) addEventListener(end, () => setTimeout(letGo), true);
  // The window's own, not that of a field which the press leaves: the button may be let go elsewhere.
  addEventListener('blur', letGo);
}

function letGo(): void {
  pressed = false;
  const all = waiting;
  waiting = [];
  for (const resolve of all) resolve();
}
