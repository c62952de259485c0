import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isLoopback, isOwnOrigin, refusedHost } from './hosts';

const names = { hosts: ['eave.example'], origin: 'https://eave.example' };

describe('a host', () => {
  it('is of this machine by name or by number (RFC 6890: 127.0.0.0/8; RFC 4291: ::1)', () => {
    for (const host of ['localhost', 'LOCALHOST', '127.0.0.1', '127.255.0.9', '::1', '[::1]'])
      expect(isLoopback(host), host).toBe(true);
    for (const host of [
      '0.0.0.0',
      '128.0.0.1',
      '::',
      '::2',
      'localhost.example',
      '127.0.0.1.example',
      '2130706433',
      ''
    ])
      expect(isLoopback(host), host).toBe(false);
  });

  it('is answered where it is one of ours, once, on a path', () => {
    for (const host of ['localhost', 'localhost:4310', '127.0.0.1:1', '[::1]:4310', 'eave.example', 'EAVE.example:443'])
      expect(refusedHost([host], '/', names), host).toBeNull();
    for (const hosts of [
      [],
      ['localhost', 'localhost'],
      ['evil.example'],
      ['localhost@evil.example'],
      ['localhost:x'],
      ['']
    ])
      expect(refusedHost(hosts, '/', names), hosts.join()).toMatch(/\.$/);
    expect(refusedHost(['localhost'], 'http://localhost/', names)).toMatch(/path/);
  });

  it('is refused when it names something else, even among accepted names', () => {
    fc.assert(
      fc.property(fc.domain(), fc.constantFrom('', ':80', ':4310'), (domain, port) => {
        fc.pre(!names.hosts.includes(domain));
        expect(refusedHost([domain + port], '/', names)).not.toBeNull();
      })
    );
  });
});

describe('a change', () => {
  it('comes from a page of the very host that is asked, or from no page', () => {
    expect(isOwnOrigin(null, 'localhost:4310', names)).toBe(true);
    expect(isOwnOrigin('http://localhost:4310', 'localhost:4310', names)).toBe(true);
    expect(isOwnOrigin('https://eave.example', 'eave.example', names)).toBe(true);
    for (const origin of [
      'null',
      'http://127.0.0.1:4310',
      'http://localhost:4311',
      'https://localhost:4310',
      'http://evil.example'
    ])
      expect(isOwnOrigin(origin, 'localhost:4310', names), origin).toBe(false);
  });
});
