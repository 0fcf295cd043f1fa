/** The first channel of a recording, −1…1. */
export interface Sound {
  readonly samples: Float32Array;
  /** Samples a second. */
  readonly rate: number;
}

/** What a sound file holds, as the browser decodes it. @throws Error for a file that is no sound */
export async function soundIn(file: File): Promise<Sound> {
  const context = new AudioContext();
  try {
    const sound = await context.decodeAudioData(await file.arrayBuffer());
    return { samples: sound.getChannelData(0), rate: sound.sampleRate };
  } catch {
    throw new Error(`${file.name} is no sound that this browser can read`);
  } finally {
    await context.close();
  }
}
