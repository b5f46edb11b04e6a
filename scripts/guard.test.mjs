import { ownHosts, refusal } from './guard.mjs';

const own = ownHosts('127.0.0.1', 3000);
const ask = (method, host, origin) =>
  refusal({ method, headers: { host, ...(origin === undefined ? {} : { origin }) } }, own);

describe('the gate', () => {
  it('lets its own hosts read', () =>
    ['127.0.0.1:3000', 'localhost:3000', 'LOCALHOST:3000', '[::1]:3000'].forEach((h) =>
      expect(ask('GET', h)).toBeNull(),
    ));
  it('refuses a foreign host, port or none (a page of another site that resolves to this address)', () =>
    ['evil.example:3000', '127.0.0.1', '127.0.0.1:3001', undefined, ''].forEach((h) =>
      expect(ask('GET', h)).toMatchObject({ status: 403, problems: [{ field: 'Host' }] }),
    ));
  it('lets a write pass with its own origin only', () => {
    expect(ask('POST', 'localhost:3000', 'http://localhost:3000')).toBeNull();
    [
      undefined,
      'null',
      'http://evil.example',
      'https://localhost:3000',
      'http://localhost:3000.evil.example',
      'localhost:3000',
    ].forEach((o) =>
      expect(ask('POST', 'localhost:3000', o)).toMatchObject({ problems: [{ field: 'Origin' }] }),
    );
    ['PUT', 'DELETE', 'PATCH'].forEach((m) => expect(ask(m, 'localhost:3000')).not.toBeNull());
  });
  it('knows the machine’s own addresses when it listens on all of them, and port 80 without a number', () => {
    expect(ownHosts('0.0.0.0', 3000).size).toBeGreaterThan(own.size - 1);
    expect(ownHosts('127.0.0.1', 80).has('localhost')).toBe(true);
  });
});
