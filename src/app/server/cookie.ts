/** The cookie of a sign-in. Over HTTPS its name binds it to this host and to nothing else (RFC 6265bis, 4.1.3). */
const cookieName = (): string =>
  process.env.STABLE_SECURE === '1' ? '__Host-stable_session' : 'stable_session';

/** The token in a Cookie header. */
export const tokenIn = (cookie: string | null | undefined): string | null =>
  cookie
    ?.split(';')
    .map((part) => part.trim().split('='))
    .find(([name]) => name === cookieName())?.[1] ?? null;

/** The key in an Authorization header (RFC 6750). */
export const keyIn = (authorization: string | null | undefined): string | null =>
  /^Bearer ([\w-]{20,200})$/i.exec(authorization ?? '')?.[1] ?? null;

/** The cookie that keeps a sign-in, or, with null, takes it away. Its ends are the server's to say, not the browser's. */
export function cookieOf(token: string | null): string {
  const secure = process.env.STABLE_SECURE === '1' ? '; Secure' : '';
  return `${cookieName()}=${token ?? ''}; Path=/; HttpOnly; SameSite=Strict${secure}; Max-Age=${token === null ? 0 : 15_552_000}`;
}
