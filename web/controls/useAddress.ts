import { useCallback, useRef, useEffect } from 'react';
import { useSearchParams } from 'react-router';

export interface Address {
  readonly params: URLSearchParams;
  /** Changes what stands there; given is what stands there now, whatever was drawn last. */
  readonly change: (make: (now: URLSearchParams) => URLSearchParams) => void;
  /** Puts values into the address, null and nothing take them out. */
  readonly set: (values: Readonly<Record<string, string | readonly string[] | null>>) => void;
}

/** State that stands in the address, so that it can be shared; a change of it is no step back in the browser. */
export function useAddress(): Address {
  const [params, setParams] = useSearchParams();
  const put = useRef(setParams);
  useEffect(() => {
    put.current = setParams;
  });
  const change = useCallback<Address['change']>((make) => {
    put.current(make(new URLSearchParams(window.location.search)), { replace: true });
  }, []);
  const set = useCallback<Address['set']>(
    (values) =>
      change((next) => {
        for (const [name, value] of Object.entries(values)) {
          next.delete(name);
          for (const each of typeof value === 'string' ? [value] : (value ?? [])) {
            if (each !== '') next.append(name, each);
          }
        }
        return next;
      }),
    [change],
  );
  return { params, change, set };
}
