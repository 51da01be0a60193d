import { useSearchParams } from 'react-router';

/** What is chosen on a page stands in its address, so that it can be kept and sent. */
export function useChoices() {
  const [params, setParams] = useSearchParams();
  const choose = (change: Record<string, string | null>) => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(change)) {
      if (value === null || value === '') next.delete(key);
      else next.set(key, value);
    }
    setParams(next, { replace: true });
  };
  /** One of some values: the first where the address has none of them. */
  const oneOf = <T extends string>(key: string, values: readonly T[]): T =>
    values.find((v) => v === params.get(key)) ?? values[0]!;
  return { params, choose, oneOf };
}
