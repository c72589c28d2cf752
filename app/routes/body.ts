/** More than this is not even read to its end, bytes. */
const HOPELESS = 32_000_000;

/**
 * The body of a request, or null when it is larger than allowed. It is read to its end, or the
 * sender would never hear why.
 */
export const readBody = async (request: Request, largest: number): Promise<Buffer | null> => {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const next = await reader?.read();
    if (!next || next.done) break;
    size += next.value.byteLength;
    if (size <= largest) chunks.push(next.value);
    else chunks.length = 0;
    if (size > HOPELESS) {
      await reader?.cancel();
      break;
    }
  }
  return size > largest ? null : Buffer.concat(chunks);
};
