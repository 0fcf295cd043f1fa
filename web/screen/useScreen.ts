import { useEffect, useState } from 'react';
import { ValidationError } from 'yup';
import { screenPictureSchema, type ScreenPicture } from '../../core/records/screen.ts';

/** What a screen knows: the picture, whether the server is there, and whether its code opens anything. */
export interface ScreenState {
  readonly picture: ScreenPicture | undefined;
  readonly isAway: boolean;
  readonly isClosed: boolean;
}

/** A browser does not say why a stream could not be opened: the code is asked for once more, after so long, ms. */
const AGAIN_MS = 3_000;

/** Follows a screen's code, and comes back by itself after a loss. */
export function useScreen(code: string): ScreenState {
  const [state, setState] = useState<ScreenState>({ picture: undefined, isAway: false, isClosed: false });
  const [tries, setTries] = useState(0);
  useEffect(() => {
    const source = new EventSource(`/api/screens/${encodeURIComponent(code)}/live`);
    let timer: number | undefined;
    const close = () => {
      source.close();
      setState((before) => ({ ...before, isClosed: true, isAway: false }));
    };
    source.addEventListener('picture', ({ data }: MessageEvent<unknown>) => {
      const picture = readPicture(data);
      // A server of another version says what this page does not know: it is loaded anew by hand.
      if (picture !== undefined) setState({ picture, isAway: false, isClosed: false });
    });
    source.addEventListener('closed', close);
    source.addEventListener('error', () => {
      setState((before) => ({ ...before, isAway: !before.isClosed }));
      // The browser tries again by itself, unless it was refused: then it is asked why, and tried later.
      if (source.readyState !== EventSource.CLOSED) return;
      void fetch(`/api/screens/${encodeURIComponent(code)}`)
        .then(({ status }) => status === 404)
        .catch(() => false)
        .then((isUnknown) => {
          if (isUnknown) close();
          else timer = window.setTimeout(() => setTries((before) => before + 1), AGAIN_MS);
        });
    });
    return () => {
      source.close();
      window.clearTimeout(timer);
    };
  }, [code, tries]);
  return state;
}

function readPicture(data: unknown): ScreenPicture | undefined {
  if (typeof data !== 'string') return undefined;
  try {
    return screenPictureSchema.validateSync(JSON.parse(data));
  } catch (error) {
    if (error instanceof ValidationError || error instanceof SyntaxError) return undefined;
    throw error;
  }
}
