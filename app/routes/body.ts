/** What is so much more than allowed is not even read to its end, bytes. */
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
    if (size > largest + HOPELESS) {
      await reader?.cancel();
      break;
    }
  }
  return size > largest ? null : Buffer.concat(chunks);
};

/** What a text of JSON says; null when it is none. */
export const jsonOf = (bytes: Buffer): unknown => {
  try {
    return JSON.parse(bytes.toString("utf8"));
  } catch {
    return null;
  }
};

/**
 * What a request says in JSON; null when it is larger than allowed, or of another kind: a page of
 * another site cannot send this type without being asked first.
 */
export const readJson = async (request: Request, largest: number): Promise<unknown> => {
  if (!request.headers.get("content-type")?.startsWith("application/json")) return null;
  const bytes = await readBody(request, largest);
  return bytes && jsonOf(bytes);
};
