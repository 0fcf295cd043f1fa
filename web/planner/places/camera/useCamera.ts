import { useCallback, useEffect, useRef, useState } from 'react';
import type { LyingBall } from '../../../../core/camera/watch.ts';
import type { Table } from '../../../../core/table/table.ts';
import { CameraLink, type LinkState } from './cameraLink.ts';
import type { Pairing } from './pairing.ts';

/** What the paired camera says; undefined before it says anything. @param expected balls that are there before the next shot */
export function useCamera(
  pairing: Pairing | undefined,
  table: Table,
  expected: readonly string[] | undefined,
): {
  readonly state: LinkState | undefined;
  readonly begin: (balls: readonly LyingBall[] | undefined) => void;
} {
  const link = useRef<CameraLink>(undefined);
  const [state, setState] = useState<LinkState>();
  useEffect(() => {
    if (pairing === undefined) return;
    const opened = new CameraLink(pairing, table, setState);
    link.current = opened;
    return () => {
      opened.close();
      link.current = undefined;
      setState(undefined);
    };
  }, [pairing, table]);
  const names = expected?.join('\n') ?? '';
  useEffect(() => link.current?.expect(names === '' ? [] : names.split('\n')), [pairing, table, names]);
  const begin = useCallback((balls: readonly LyingBall[] | undefined) => link.current?.begin(balls), []);
  return { state, begin };
}
