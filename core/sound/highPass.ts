/**
 * Takes away what is low: voices, hum and thuds, while clicks stay. Two second-order sections in a row, each a Butterworth
 * high-pass by the bilinear transform.
 * @param samples −1…1 @param rate samples a second @param corner Hz, below half the rate
 */
export function highPass(samples: Float32Array, rate: number, corner: number): Float32Array {
  const w = Math.tan((Math.PI * corner) / rate);
  const norm = 1 / (1 + Math.SQRT2 * w + w * w);
  const b = [norm, -2 * norm, norm] as const;
  const a = [2 * (w * w - 1) * norm, (1 - Math.SQRT2 * w + w * w) * norm] as const;
  const section = (from: Float32Array): Float32Array => {
    const to = new Float32Array(from.length);
    let [x1, x2, y1, y2] = [0, 0, 0, 0];
    for (let i = 0; i < from.length; i++) {
      const x = from[i]!;
      const y = b[0] * x + b[1] * x1 + b[2] * x2 - a[0] * y1 - a[1] * y2;
      [x2, x1, y2, y1] = [x1, x, y1, y];
      to[i] = y;
    }
    return to;
  };
  return section(section(samples));
}
