import { lookup as lookUp } from 'node:dns';
import { BlockList, isIP, type LookupFunction } from 'node:net';
import { trimSigns } from '$core/language';

/**
 * Addresses that do not lead to a place of the open internet. IANA IPv4 and IPv6 Special-Purpose Address Registries
 * (RFC 6890), multicast (RFC 5771, RFC 4291), and those of IPv6 that represent one of IPv4.
 */
const special = { ipv4: new BlockList(), ipv6: new BlockList() };
for (const [net, bits] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.0.2.0', 24],
  ['192.88.99.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['198.51.100.0', 24],
  ['203.0.113.0', 24],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4]
] as const)
  special.ipv4.addSubnet(net, bits, 'ipv4');
for (const [net, bits] of [
  ['::', 96],
  ['::ffff:0:0', 96],
  ['64:ff9b::', 96],
  ['64:ff9b:1::', 48],
  ['100::', 64],
  ['2001::', 23],
  ['2001:db8::', 32],
  ['2002::', 16],
  ['fc00::', 7],
  ['fe80::', 10],
  ['fec0::', 10],
  ['ff00::', 8]
] as const)
  special.ipv6.addSubnet(net, bits, 'ipv6');

/** Whether an IP address is private, of this machine, or otherwise none of the open internet. */
export function isPrivate(ip: string): boolean {
  const family = isIP(ip) === 6 ? 'ipv6' : 'ipv4';
  return special[family].check(ip, family);
}

/** The address of a service as it is kept: no query, no fragment, no slash at its end. A sentence where it cannot be one. */
export function serviceAddress(text: string): { address: string } | { wrong: string } {
  let url: URL;
  try {
    url = new URL(text.trim());
  } catch {
    return { wrong: 'This isn’t a web address. Write it in full, like https://people.example/eave.' };
  }
  if (url.protocol !== 'https:' && url.protocol !== 'http:')
    return { wrong: 'The address must start with https:// or http://.' };
  if (url.username || url.password) return { wrong: 'Don’t put a name or password in the address. Use the key field.' };
  url.search = '';
  url.hash = '';
  return { address: trimSigns(url.href, (sign) => sign === '/', 'end') };
}

/** A name that leads to a private address, where these may not be asked. */
export class PrivateAddress extends Error {
  constructor(host: string) {
    super(
      `${host} is an address of this machine or of a private network. Eave asks such places only when it is started with EAVE_PRIVATE_SERVICES=yes.`
    );
  }
}

/** The host of a URL without the brackets that IPv6 has there. */
const hostOf = (url: URL) => url.hostname.replace(/^\[|\]$/g, '');

/** Throws PrivateAddress where the host is written as a private address. Names are looked at as they are looked up. */
export function refusePrivate(url: URL): void {
  const host = hostOf(url);
  if (isIP(host) && isPrivate(host)) throw new PrivateAddress(host);
}

/** Looks a name up for a connection, and refuses it where any of its addresses is private: what is checked is what is used. */
export const lookUpPublic: LookupFunction = (host, options, done) =>
  lookUp(host, { ...options, all: true }, (error, addresses) => {
    if (error) return done(error, '');
    if (addresses.some(({ address }) => isPrivate(address))) return done(new PrivateAddress(host), '');
    if (options.all) return done(null, addresses);
    done(null, addresses[0]!.address, addresses[0]!.family);
  });
