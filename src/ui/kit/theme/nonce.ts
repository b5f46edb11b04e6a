/** The nonce of the page: styles that a part brings along later are let in by it. */
export const nonceOfPage = (): string => document.querySelector<HTMLElement>('script[nonce]')?.nonce ?? '';
