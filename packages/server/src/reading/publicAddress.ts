import { BlockList, isIP, isIPv4 } from 'node:net';

/**
 * Addresses that no page of the open web has: this machine's own, private networks, and what is set aside
 * (RFC 6890).
 */
const closed = new BlockList();
for (const [net, prefix] of [
  ['0.0.0.0', 8],
  ['10.0.0.0', 8],
  ['100.64.0.0', 10],
  ['127.0.0.0', 8],
  ['169.254.0.0', 16],
  ['172.16.0.0', 12],
  ['192.0.0.0', 24],
  ['192.0.2.0', 24],
  ['192.168.0.0', 16],
  ['198.18.0.0', 15],
  ['198.51.100.0', 24],
  ['203.0.113.0', 24],
  ['224.0.0.0', 4],
  ['240.0.0.0', 4],
] as const)
  closed.addSubnet(net, prefix, 'ipv4');
for (const [net, prefix] of [
  // This machine itself, and IPv4 addresses written as IPv6 in a way that nobody uses any more (`::a.b.c.d`).
  ['::', 96],
  ['64:ff9b::', 96],
  ['64:ff9b:1::', 48],
  ['100::', 64],
  ['2001:db8::', 32],
  // 6to4: the IPv4 address of a relay is in it, which may be a private one.
  ['2002::', 16],
  ['3fff::', 20],
  ['fc00::', 7],
  ['fe80::', 10],
  ['fec0::', 10],
  ['ff00::', 8],
] as const)
  closed.addSubnet(net, prefix, 'ipv6');

/** Whether an IP address is one of the open web. An IPv4 address in IPv6's clothes counts as what it is. */
export function isPublicAddress(address: string): boolean {
  if (isIP(address) === 0) return false;
  // Node's list looks up an IPv4 address in IPv6's clothes (`::ffff:a.b.c.d`, however it is written) among
  // those of IPv4.
  return !closed.check(address, isIPv4(address) ? 'ipv4' : 'ipv6');
}
