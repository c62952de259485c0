import { BlockList, isIP } from 'node:net';
import { LRUCache } from 'lru-cache';

const loopback = new BlockList();
loopback.addSubnet('127.0.0.0', 8, 'ipv4');
loopback.addAddress('::1', 'ipv6');

/** Every request is checked, and most name the same host. */
const cache = new LRUCache<string, boolean>({ max: 100 });

/** Whether a name or number can only mean this machine. */
export function isLoopback(host: string): boolean {
  let known = cache.get(host);
  if (known === undefined) {
    const bare = host.replace(/^\[(.*)\]$/, '$1').toLowerCase();
    const version = isIP(bare);
    known = bare === 'localhost' || (version !== 0 && loopback.check(bare, version === 4 ? 'ipv4' : 'ipv6'));
    cache.set(host, known);
  }
  return known;
}

/** Host names that a server accepts in addition to those of loopback. */
export interface Names {
  hosts: readonly string[];
  origin: string | undefined;
}

/**
 * Why a request is not answered by its `Host` (RFC 9110, 7.2); null where it is. A page elsewhere can reach in through a
 * name of its own that points to loopback: then the name in `Host` is that of the page, and not one of ours.
 */
export function refusedHost(hosts: readonly string[], target: string, names: Names): string | null {
  if (hosts.length !== 1) return 'A request names the host it is for, once.';
  if (!target.startsWith('/')) return 'A request names a path, beginning with a slash, and not a whole address.';
  const read = /^(\[[0-9a-f:.]+\]|[^:@/\s\\?#]+)(?::(\d{1,5}))?$/i.exec(hosts[0]!);
  const host = read?.[1]!.toLowerCase();
  if (host !== undefined && (isLoopback(host) || names.hosts.includes(host))) return null;
  return 'Eave answers only as localhost, so that other websites can’t reach it. Open it as localhost, or add this name to EAVE_HOSTS.';
}

/** Whether a change may come from a page of that `Origin` (RFC 6454): one of Eave's own, by the very name it was asked by. */
export function isOwnOrigin(origin: string | null, host: string, names: Names): boolean {
  // What is no page, a script or a program, sends none.
  if (origin === null) return true;
  return origin === `http://${host}` || (names.origin !== undefined && origin === names.origin);
}
