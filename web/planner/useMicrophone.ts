import { useEffect, useRef, useState } from 'react';

/** Nobody takes longer from the button to the break, milliseconds. */
const LONGEST = 20_000;

/** What a browser can hear. */
export interface Microphone {
  /** False where the browser does not allow it: over plain http from another machine, for one. */
  readonly isThere: boolean;
  readonly isOn: boolean;
  /** Why it could not be used. */
  readonly refused: string | undefined;
  readonly start: () => void;
  readonly stop: () => void;
}

/** Records from the microphone until it is stopped, or for twenty seconds. @param onSound told what was recorded */
export function useMicrophone(onSound: (sound: File) => void): Microphone {
  const [isOn, setOn] = useState(false);
  const [refused, setRefused] = useState<string>();
  const end = useRef<() => void>(() => undefined);
  useEffect(() => () => end.current(), []);
  async function record() {
    setRefused(undefined);
    // What a browser does to make speech plain would take away the knocks.
    const audio = { echoCancellation: false, noiseSuppression: false, autoGainControl: false };
    const stream = await navigator.mediaDevices.getUserMedia({ audio });
    const recorder = new MediaRecorder(stream);
    const parts: Blob[] = [];
    recorder.addEventListener('dataavailable', ({ data }) => parts.push(data));
    recorder.addEventListener('stop', () => {
      for (const track of stream.getTracks()) track.stop();
      setOn(false);
      onSound(new File(parts, 'the recording', { type: recorder.mimeType }));
    });
    const timer = window.setTimeout(() => end.current(), LONGEST);
    end.current = () => {
      window.clearTimeout(timer);
      if (recorder.state !== 'inactive') recorder.stop();
    };
    recorder.start();
    setOn(true);
  }
  return {
    isThere: 'mediaDevices' in navigator && 'MediaRecorder' in window,
    isOn,
    refused,
    start: () =>
      void record().catch(() => setRefused('The browser does not let this page hear the microphone.')),
    stop: () => end.current(),
  };
}
