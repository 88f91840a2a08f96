/** The bytes of a file that was uploaded, such as a font; null: it cannot be had. */
export async function loadBytes(address: string): Promise<Uint8Array | null> {
  const reply = await fetch(address).catch(() => null);
  return reply?.ok === true ? new Uint8Array(await reply.arrayBuffer()) : null;
}
