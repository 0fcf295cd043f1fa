import { readFile, writeFile } from 'node:fs/promises';
import wavefile from 'wavefile';
import { StartError } from './report.ts';

/** A sound of one channel, −1…1. */
export interface Sound {
  readonly samples: Float32Array;
  /** Samples a second. */
  readonly rate: number;
}

const FULL_SCALE = 32_767;

/** The bytes of a sound as a WAV file of 16 bits. */
export function wavOf({ samples, rate }: Sound): Uint8Array {
  const wav = new wavefile.WaveFile();
  wav.fromScratch(
    1,
    rate,
    '16',
    Int16Array.from(samples, (value) => Math.round(FULL_SCALE * value)),
  );
  return wav.toBuffer();
}

export async function writeWav(file: string, sound: Sound): Promise<void> {
  await writeFile(file, wavOf(sound));
}

/** Reads a WAV file; of several channels the first. @throws StartError for what is none */
export async function readWav(file: string): Promise<Sound> {
  const bytes = await readFile(file).catch(() => {
    throw new StartError(`${file} cannot be read.`);
  });
  try {
    const wav = new wavefile.WaveFile(bytes);
    wav.toBitDepth('32f');
    const rate = 'sampleRate' in wav.fmt ? Number(wav.fmt.sampleRate) : NaN;
    const channels: Float64Array | readonly Float64Array[] = wav.getSamples();
    const first = channels[0];
    return { samples: Float32Array.from(typeof first === 'object' ? first : wav.getSamples()), rate };
  } catch {
    throw new StartError(`${file} is no WAV file.`);
  }
}
