import { useCallback, useEffect, useState } from "react";

/** Something that is asked of the server. */
export type Fetched<T> =
  | { readonly kind: "coming" }
  | { readonly kind: "there"; readonly value: T }
  | { readonly kind: "failed"; readonly again: () => void };

interface Known<T> {
  readonly address: string;
  readonly value: T;
}

/** What the server has at an address; null asks for nothing. What it says is taken for what it is. */
export const useFetched = <T>(address: string | null): Fetched<T> => {
  const [known, setKnown] = useState<Known<T> | null>(null);
  const [failedAt, setFailedAt] = useState<string | null>(null);
  const [round, setRound] = useState(0);
  useEffect(() => {
    if (address === null) return;
    const gone = new AbortController();
    const ask = async (): Promise<void> => {
      const answer = await fetch(address, { signal: gone.signal });
      if (!answer.ok) throw new Error(`the server answered ${answer.status}`);
      const value = (await answer.json()) as T;
      setKnown({ address, value });
      setFailedAt(null);
    };
    ask().catch(() => {
      if (!gone.signal.aborted) setFailedAt(address);
    });
    return () => gone.abort();
  }, [address, round]);
  const again = useCallback(() => {
    setFailedAt(null);
    setRound((n) => n + 1);
  }, []);
  if (known && known.address === address) return { kind: "there", value: known.value };
  return failedAt !== null && failedAt === address ? { kind: "failed", again } : { kind: "coming" };
};
